/** A wall thinner than this asks for a sealing washer, mm. Chosen: the practice of the plant’s inspectors. */
export const THIN_WALL_MM = 6;
/** A rating above this asks for a sealing washer. */
export const WASHER_ABOVE = 'IP54';
/** A clearance hole may exceed the thread's major diameter by this much unless the sheet says otherwise, mm. Chosen: what assembly sheets usually give. */
export const CLEARANCE_MM = 0.7;
/** A count of turns while unscrewing is never better than half a turn: the last thread lets go late. Chosen: half a turn each way. */
export const TURNS_UNCERTAINTY = 0.5;
/** Threads that a taper joint of an explosionproof enclosure needs on a division site (NFPA 70, 500.8). */
export const DIVISION_TAPER_THREADS = 5;
/** Uncertainty of a plug's engaged length, which is read with a rule, mm (chosen: half a division). */
export const PLUG_UNCERTAINTY_MM = 0.5;
