import { createTheme } from '@mui/material/styles'

/** Square, flat and quiet; every colour comes from tokens.css, so light and dark need no second theme here. */
export const theme = createTheme({
  cssVariables: { nativeColor: true },
  shape: { borderRadius: 2 },
  palette: {
    primary: { main: 'var(--pri)', contrastText: 'var(--onpri)' },
    error: { main: 'var(--stop)', contrastText: 'var(--sheet)' },
    text: { primary: 'var(--ink)', secondary: 'var(--ink2)', disabled: 'var(--ink2)' },
    background: { paper: 'var(--sheet)', default: 'var(--ground)' },
    divider: 'var(--line)',
    action: {
      active: 'var(--ink2)',
      hover: 'var(--pritint)',
      selected: 'var(--pritint)',
      disabled: 'var(--ink2)',
    },
  },
  typography: {
    fontFamily: 'var(--text)',
    fontSize: 14,
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.9375rem' },
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
          '@media (max-width: 560px)': { whiteSpace: 'normal' },
          '&.MuiButton-fullWidth': { whiteSpace: 'normal' },
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
        root: {
          fontSize: '0.875rem',
          marginLeft: 0,
          color: 'var(--ink2)',
          '&.Mui-error': { color: 'var(--stop)' },
        },
      },
    },
    MuiChip: {
      styleOverrides: {
        root: { borderRadius: 2, fontSize: '0.875rem', background: 'var(--sheet)', color: 'var(--ink)' },
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
