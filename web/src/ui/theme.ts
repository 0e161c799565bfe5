import { createTheme } from '@mui/material/styles';

/** The colours live in styles/base.css as custom properties, so that drawings and print share them. */
export const makeTheme = (dark: boolean) =>
  createTheme({
    palette: {
      mode: dark ? 'dark' : 'light',
      primary: { main: dark ? '#C79BC0' : '#4A2545', contrastText: dark ? '#1B1419' : '#FFFFFF' },
      secondary: { main: '#E3A008' },
      error: { main: dark ? '#E58A7C' : '#A63A2B' },
      background: { default: dark ? '#171C1D' : '#F6F7F4', paper: dark ? '#20272A' : '#FFFFFF' },
      text: { primary: dark ? '#E6EAE8' : '#1F2A2C', secondary: dark ? '#A9B5B8' : '#56646A' },
      divider: dark ? '#3A4447' : '#D5DAD6',
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
