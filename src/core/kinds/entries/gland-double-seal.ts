import { armoured } from './base-armoured';

export const glandDoubleSeal = armoured({ id: 'gland-double-seal' });
