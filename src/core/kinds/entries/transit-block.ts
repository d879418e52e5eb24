import { transit } from './base-transit';

export const transitBlock = transit({ id: 'transit-block' });
