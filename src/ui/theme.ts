import { createTheme, type CSSVariablesResolver } from '@mantine/core';

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
  },
  primaryShade: 6,
  headings: { fontFamily: 'var(--face-text)', fontWeight: '700' },
  respectReducedMotion: true,
  cursorType: 'pointer',
  components: {
    Button: { defaultProps: { size: 'md' } },
    TextInput: { defaultProps: { size: 'md' } },
    Textarea: { defaultProps: { size: 'md' } },
    NativeSelect: { defaultProps: { size: 'md', rightSectionWidth: 30 } },
    Table: { defaultProps: { borderColor: 'var(--rule)' } },
    Modal: { defaultProps: { centered: true, transitionProps: { duration: 0 }, overlayProps: { opacity: 0.4 } } },
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
};

/** Mantine's own variables, taken from ours in every colour scheme. */
export const cssVariables: CSSVariablesResolver = () => ({
  variables: {},
  light: VARIABLES,
  dark: VARIABLES,
});
