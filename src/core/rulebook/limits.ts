/** A gland that does not hold the cable by itself asks for a clamp within this distance, mm. */
export const SUPPORT_WITHIN_MM = 300;
/** A wall thinner than this asks for a sealing washer, mm. */
export const THIN_WALL_MM = 6;
/** A rating above this asks for a sealing washer. */
export const WASHER_ABOVE = 'IP54';
/** A clearance hole may exceed the thread's major diameter by this much unless the sheet says otherwise, mm. */
export const CLEARANCE_MM = 0.7;
