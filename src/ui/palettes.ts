/** Colours and lines of an appearance; what one leaves out is as on paper. */
type Palette = Readonly<Record<string, string>>;

/** Every appearance of the screen: paper by day, dark by night, black on white in the sun. */
const PALETTES: Readonly<Record<'paper' | 'night' | 'glare', Palette>> = {
  paper: {
    '--paper': '#efece3', '--sheet': '#fbfaf5', '--ink': '#1b2a32', '--ink-2': '#54656e',
    '--rule': '#d3ccbb', '--border': '#7f8a8f', '--grid': '#e6e2d5', '--brass': '#b88b35',
    '--brass-fill': '#ebdcb4', '--steel': '#8396a0', '--steel-fill': '#dce2e4', '--rubber': '#5b3a4a',
    '--jacket': '#22323a', '--inner': '#c9c2b2', '--compound': '#b9b08a', '--resin': '#d8b878',
    '--washer': '#7a5a3a', '--action': '#a8461f', '--action-dark': '#8c3815', '--on-action': '#ffffff',
    '--sound': '#0e6b63', '--close': '#a86e0b', '--close-text': '#8c5a06', '--failed': '#a91e2c',
    '--unread': '#7c8890', '--unread-text': '#5e6b73', '--hair': '1px', '--line': '1.5',
    '--face-text': "'Atkinson Hyperlegible Next', 'Yendral Signs', sans-serif",
    '--face-figures': "'Atkinson Hyperlegible Mono', 'Yendral Signs', monospace", 'color-scheme': 'light',
  },
  night: {
    '--paper': '#11181c', '--sheet': '#182126', '--ink': '#e9e4d6', '--ink-2': '#a9b4b9',
    '--rule': '#37444b', '--border': '#7c8a92', '--grid': '#202b31', '--brass': '#d0a44e',
    '--brass-fill': '#4a3d1d', '--steel': '#90a3ad', '--steel-fill': '#2f3b41', '--rubber': '#8a5a72',
    '--jacket': '#0a0f12', '--inner': '#5a564c', '--compound': '#6e6848', '--resin': '#8a6c34',
    '--washer': '#a5825e', '--action': '#e08a5c', '--action-dark': '#eb9f76', '--on-action': '#11181c',
    '--sound': '#55c2b6', '--close': '#e0a945', '--close-text': '#e8b75c', '--failed': '#f58b92',
    '--unread': '#97a3aa', '--unread-text': '#b3bdc2', 'color-scheme': 'dark',
  },
  glare: {
    '--paper': '#ffffff', '--sheet': '#ffffff', '--ink': '#000000', '--ink-2': '#222222',
    '--rule': '#000000', '--border': '#000000', '--grid': '#ffffff', '--brass': '#000000',
    '--brass-fill': '#ececec', '--steel': '#000000', '--steel-fill': '#d4d4d4', '--rubber': '#555555',
    '--jacket': '#111111', '--inner': '#e2e2e2', '--compound': '#bdbdbd', '--resin': '#cfcfcf',
    '--washer': '#777777', '--action': '#000000', '--action-dark': '#333333', '--on-action': '#ffffff',
    '--sound': '#004f48', '--close': '#6e4600', '--close-text': '#6e4600', '--failed': '#96000f',
    '--unread': '#444444', '--unread-text': '#333333', '--hair': '2px', '--line': '3',
    'color-scheme': 'light',
  },
}; // prettier-ignore

const rule = ([name, palette]: [string, Palette]): string =>
  `:root[data-appearance='${name}']{${Object.entries(palette)
    .map(([key, value]) => `${key}:${value}`)
    .join(';')}}`;

/** The appearances as a style sheet, for the head of every page: colours stand before anything is drawn. */
export const palettesCss = (): string =>
  `:root{${Object.entries(PALETTES.paper)
    .map(([key, value]) => `${key}:${value}`)
    .join(';')}}` + Object.entries(PALETTES).map(rule).join('');
