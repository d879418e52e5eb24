import { mineral } from './base-mineral';

export const miPot = mineral({ id: 'mi-pot', title: 'mineral-insulated pot' });
