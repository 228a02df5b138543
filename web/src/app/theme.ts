import { createTheme } from '@mui/material/styles'

/** Square, flat and quiet; every colour comes from tokens.css, so light and dark need no second theme here. */
export const theme = createTheme({
  cssVariables: { nativeColor: true },
  shape: { borderRadius: 2 },
  palette: {
    primary: { main: '#5B2A55', contrastText: '#FFFFFF' },
    error: { main: '#9E1F38' },
    text: { primary: '#1D222C', secondary: '#454D5A' },
  },
  typography: {
    fontFamily: 'var(--text)',
    fontSize: 15,
    button: { textTransform: 'none', fontWeight: 600, fontSize: 15 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { variant: 'outlined', disableElevation: true, color: 'inherit' },
      styleOverrides: {
        root: {
          minHeight: 44,
          padding: '0 14px',
          color: 'var(--ink)',
          borderColor: 'var(--edge)',
          borderWidth: 1.5,
          whiteSpace: 'nowrap',
          '&:hover': { background: 'var(--pritint)' },
          '&.MuiButton-contained': {
            background: 'var(--pri)',
            color: 'var(--onpri)',
            border: 0,
            clipPath: 'polygon(0 0,100% 0,100% calc(100% - 10px),calc(100% - 10px) 100%,0 100%)',
            '&:hover': { background: 'var(--ink)', color: 'var(--sheet)' },
            '&.Mui-disabled': { background: 'var(--line)', color: 'var(--ink2)' },
          },
          '&.Mui-disabled': { color: 'var(--ink2)' },
        },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 44,
          padding: '4px 12px',
          textTransform: 'none',
          fontWeight: 600,
          color: 'var(--ink)',
          borderColor: 'var(--edge)',
          background: 'var(--sheet)',
          lineHeight: 1.2,
          '&.Mui-selected, &.Mui-selected:hover': { background: 'var(--pri)', color: 'var(--onpri)' },
          '&:hover': { background: 'var(--pritint)' },
        },
      },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: {
          background: 'var(--sheet)',
          color: 'var(--ink)',
          '& .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--edge)' },
        },
        input: { padding: '10px 12px' },
      },
    },
    MuiSelect: { styleOverrides: { icon: { color: 'var(--ink)' } } },
    MuiAutocomplete: { styleOverrides: { inputRoot: { padding: '0 9px', minHeight: 44 } } },
    MuiInputLabel: {
      styleOverrides: {
        root: {
          color: 'var(--ink2)',
          '&:not(.MuiInputLabel-shrink)': { transform: 'translate(13px, 10px)' },
        },
      },
    },
    MuiFormHelperText: {
      styleOverrides: {
        root: { fontSize: 14, marginLeft: 0, color: 'var(--ink2)', '&.Mui-error': { color: 'var(--stop)' } },
      },
    },
    MuiChip: {
      styleOverrides: {
        root: { borderRadius: 2, fontSize: 14, background: 'var(--sheet)', color: 'var(--ink)' },
      },
    },
    MuiPaper: {
      styleOverrides: { root: { backgroundImage: 'none', background: 'var(--sheet)', color: 'var(--ink)' } },
    },
    MuiCheckbox: {
      styleOverrides: { root: { color: 'var(--edge)', '&.Mui-checked': { color: 'var(--pri)' } } },
    },
    MuiSvgIcon: { styleOverrides: { root: { fill: 'currentColor' } } },
  },
})
