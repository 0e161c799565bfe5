import { createTheme } from '@mui/material/styles';

/** A colour of styles/base.css, the one palette, which drawings and print share; grey where there is no style sheet. */
const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim() || '#808080';

/** The theme of the shade that the page's root says by now. */
export const makeTheme = (dark: boolean) =>
  createTheme({
    palette: {
      mode: dark ? 'dark' : 'light',
      primary: { main: colour(dark ? 'aub2' : 'aub'), contrastText: colour('sheet') },
      secondary: { main: colour('mari') },
      error: { main: colour('brick') },
      background: { default: colour('ground'), paper: colour('sheet') },
      text: { primary: colour('ink'), secondary: colour('quiet') },
      divider: colour('line'),
    },
    shape: { borderRadius: 6 },
    typography: {
      fontFamily: "'Atkinson Hyperlegible Next', sans-serif",
      fontSize: 15,
      button: { textTransform: 'none', fontWeight: 600, fontSize: 15 },
    },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: { root: { minHeight: 40, borderWidth: 1.5 } },
      },
      MuiTextField: { defaultProps: { variant: 'standard', fullWidth: true } },
      MuiInputLabel: {
        defaultProps: { shrink: true },
        styleOverrides: {
          root: { fontSize: 13.5, transform: 'none', position: 'relative', lineHeight: 1.25, color: 'var(--quiet)' },
        },
      },
      MuiInput: {
        styleOverrides: {
          root: {
            fontSize: 16,
            lineHeight: 1.3,
            'label + &.MuiInput-root': { marginTop: 0 },
            '&::before': { borderBottom: '1.5px solid var(--ink)' },
          },
        },
      },
      MuiDialog: { styleOverrides: { paper: { backgroundImage: 'none' } } },
      MuiTooltip: { styleOverrides: { tooltip: { fontSize: 13.5, background: 'var(--ink)', color: 'var(--sheet)' } } },
      MuiSnackbarContent: { styleOverrides: { root: { background: 'var(--ink)', color: 'var(--sheet)' } } },
    },
  });
