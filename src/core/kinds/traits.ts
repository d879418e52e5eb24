/** What a kind of entry is like. Rules, drawings and views ask for it; nobody asks which kind an entry is. */
export interface Traits {
  /** A ring that fits either way, one whose faces differ, one per armour type, or none. */
  ring: 'universal' | 'reversible' | 'dedicated' | 'none';
  /** How the armour is held; none for cables without armour. */
  armour: 'cone' | 'gripped' | 'none';
  /** What sits on the inner sheath. */
  inner: 'seal' | 'diaphragm' | 'none';
  /** What fills the pot. */
  pot: 'compound' | 'resin' | 'none';
  /** Whether it ends a mineral-insulated cable, and only such a one. */
  mineral: boolean;
  /** Whether the cable is cut to fit between two accessories, and judged against its path. */
  link: boolean;
  /** Blocks, bonded blocks or sealant, many cables in one frame; null for an entry of one cable. */
  transit: 'blocks' | 'bonded' | 'sealant' | null;
  /** What it stands in: the wall of an enclosure, or one of the building. */
  wall: 'enclosure' | 'building';
  /** Whether the kind is made with a certificate for explosive atmospheres. */
  certified: boolean;
  /** Body that its section is drawn with. */
  drawing: 'gland' | 'industrial' | 'resin' | 'mineral' | 'transit';
}
