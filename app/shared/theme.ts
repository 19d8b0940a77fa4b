import { createTheme, type Theme } from '@mui/material/styles';
import { TOKENS } from './tokens.js';

/** The controls in the room's own dress: flat, thin rules, small radii, one type family with real fractions. */
export function roomTheme(mode: 'light' | 'dark'): Theme {
  const ink = TOKENS[mode];
  const focused = { outline: `2px solid ${ink.act}`, outlineOffset: 1 };
  return createTheme({
    palette: {
      mode,
      primary: { main: ink.act },
      background: { default: ink.ground, paper: ink.sheet },
      text: { primary: ink.text, secondary: ink.quiet },
      divider: ink.rule,
    },
    shape: { borderRadius: 3 },
    typography: {
      fontFamily: "'Source Sans 3', sans-serif",
      fontSize: 14,
      button: { textTransform: 'none', fontWeight: 600 },
    },
    components: {
      // The library takes the outline away from its controls: what has the focus is drawn here.
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: { '&.Mui-focusVisible, &:focus-visible': focused } },
      },
      MuiTab: { styleOverrides: { root: { '&.Mui-focusVisible, &:focus-visible': { outlineOffset: -3 } } } },
      MuiMenuItem: { styleOverrides: { root: { '&.Mui-focusVisible, &:focus-visible': { outlineOffset: -2 } } } },
      MuiNativeSelect: { styleOverrides: { select: { '&:focus-visible': focused } } },
      MuiSlider: { styleOverrides: { thumb: { '&.Mui-focusVisible': focused } } },
      MuiButton: { defaultProps: { disableElevation: true, size: 'small' } },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiDialog: { styleOverrides: { paper: { border: `1px solid ${ink.rule}` } } },
      MuiMenu: { styleOverrides: { paper: { border: `1px solid ${ink.rule}` } } },
      MuiToggleButton: { styleOverrides: { root: { color: ink.quiet, '&.Mui-selected': { color: ink.text } } } },
    },
  });
}
