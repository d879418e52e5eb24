/** Views of the program, by the name in their address. */
export type ViewName =
  | 'site'
  | 'bench'
  | 'transit'
  | 'mineral'
  | 'makeoff'
  | 'clocks'
  | 'defects'
  | 'report'
  | 'dossier'
  | 'certificates'
  | 'desk';

/** One word of the head, and what lies one level below. */
export interface Way {
  word: string;
  views: readonly (readonly [name: ViewName, title: string])[];
}

/** The way through the program, in the order of the work. */
export const WAYS: readonly Way[] = [
  { word: 'Standing', views: [['site', 'Where things stand']] },
  {
    word: 'Inspect',
    views: [
      ['bench', 'Bench'],
      ['transit', 'Board'],
      ['mineral', 'Mineral cables'],
    ],
  },
  {
    word: 'Make off',
    views: [
      ['makeoff', 'Step by step'],
      ['clocks', 'Clocks'],
    ],
  },
  { word: 'Defects', views: [['defects', 'Ledger']] },
  { word: 'Report', views: [['report', 'Files']] },
  {
    word: 'Shelf',
    views: [
      ['dossier', 'Dossier'],
      ['certificates', 'Certificates'],
      ['desk', 'Desk'],
    ],
  },
];

/** The word that a view lies under. */
export const wayOf = (view: ViewName): Way =>
  WAYS.find(({ views }) => views.some(([name]) => name === view)) ?? WAYS[0]!;
