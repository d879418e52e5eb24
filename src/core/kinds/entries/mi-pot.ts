import { mineral } from './base-mineral';

export const miPot = mineral({ id: 'mi-pot' });
