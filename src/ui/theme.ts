import { Button, createTheme, SegmentedControl, type CSSVariablesResolver } from '@mantine/core';

/** Height of what a gloved finger presses, and of what stands in a line of text. */
const GLOVE = '48px';
const IN_LINE = '40px';

/** The one Mantine theme; its colours are the variables of `global.css`, so that every appearance reaches it. */
export const theme = createTheme({
  fontFamily: 'var(--face-text)',
  fontFamilyMonospace: 'var(--face-figures)',
  defaultRadius: 2,
  primaryColor: 'rust',
  colors: {
    rust: [
      '#fbefe8', '#f3d9ca', '#e6b79c', '#d8926c', '#cb7447', '#bd5a2d', '#a8461f', '#923b18', '#7b3112', '#5f250c',
    ],
    // Of what stays pressed.
    ink: [
      '#eef1f2', '#d5dcdf', '#b4c0c5', '#90a2a9', '#6f848d', '#54656e', '#3a4b54', '#2a3b44', '#1b2a32', '#101a20',
    ],
  },
  primaryShade: 6,
  headings: { fontFamily: 'var(--face-text)', fontWeight: '700' },
  respectReducedMotion: true,
  cursorType: 'pointer',
  components: {
    Button: Button.extend({
      defaultProps: { size: 'md' },
      vars: (_theme, { size }) => ({
        root: {
          '--button-height': String(size).startsWith('compact') ? IN_LINE : GLOVE,
          '--button-padding-x': '12px',
        },
      }),
      styles: { label: { fontWeight: 400, fontSize: 15 } },
    }),
    TextInput: { defaultProps: { size: 'md' } },
    // The titles of fields are quiet; what stands in them is not.
    InputWrapper: { styles: { label: { fontSize: 14, fontWeight: 400, color: 'var(--ink-2)', marginBottom: 3 }, description: { color: 'var(--ink-2)' } } },
    Textarea: { defaultProps: { size: 'md' } },
    NativeSelect: { defaultProps: { size: 'md', rightSectionWidth: 30 } },
    SegmentedControl: SegmentedControl.extend({
      defaultProps: { color: 'ink', size: 'md', withItemsBorders: false, transitionDuration: 0 },
      styles: {
        root: { padding: 0, background: 'var(--sheet)', border: 'var(--hair) solid var(--ink)' },
        label: { minHeight: 46, display: 'grid', placeItems: 'center', padding: '0 12px', fontSize: 15 },
      },
    }),
    NavLink: { defaultProps: { variant: 'filled', color: 'ink' }, styles: { label: { fontSize: 15, fontWeight: 700 } } },
    Table: { defaultProps: { borderColor: 'var(--rule)' } },
    Tabs: {
      defaultProps: { color: 'rust' },
      styles: { tab: { minHeight: 48, fontSize: 15 }, list: { flexWrap: 'nowrap', overflowX: 'auto', overflowY: 'hidden' } },
    },
    Modal: { defaultProps: { centered: true, yOffset: 84, transitionProps: { duration: 0 }, overlayProps: { opacity: 0.4 } } },
  },
}); // prettier-ignore

const VARIABLES = {
  '--mantine-color-body': 'var(--sheet)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-dimmed': 'var(--ink-2)',
  '--mantine-color-placeholder': 'var(--ink-2)',
  // Borders of inputs and checkboxes stand out by 3 to 1.
  '--mantine-color-gray-4': 'var(--border)',
  '--mantine-color-gray-3': 'var(--border)',
  '--mantine-color-dark-4': 'var(--border)',
  '--mantine-color-default': 'var(--sheet)',
  '--mantine-color-default-hover': 'var(--paper)',
  '--mantine-color-default-color': 'var(--ink)',
  '--mantine-color-default-border': 'var(--ink)',
  '--mantine-color-error': 'var(--failed)',
  '--mantine-primary-color-filled': 'var(--action)',
  '--mantine-primary-color-filled-hover': 'var(--action-dark)',
  // Mantine writes on its filled buttons with this.
  '--mantine-color-white': 'var(--on-action)',
  '--mantine-color-rust-filled': 'var(--action)',
  '--mantine-color-rust-filled-hover': 'var(--action-dark)',
  '--mantine-color-ink-filled': 'var(--ink)',
  '--mantine-color-ink-filled-hover': 'var(--ink)',
  '--mantine-color-ink-contrast': 'var(--paper)',
};

/** Mantine's own variables, taken from ours in every colour scheme. */
export const cssVariables: CSSVariablesResolver = () => ({
  variables: {},
  light: VARIABLES,
  dark: VARIABLES,
});
