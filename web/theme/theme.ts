import {
  type ActionIconProps,
  type ButtonProps,
  type CheckboxProps,
  type ColorInputProps,
  type CSSVariablesResolver,
  createTheme,
  type MantineColorsTuple,
  type MantineTheme,
  type ModalProps,
  type SelectProps,
  type SwitchProps,
} from '@mantine/core'

/** Ink: the one colour of actions, from paper to black. */
const ink: MantineColorsTuple = [
  '#f4f4f4',
  '#ededed',
  '#e2e2e2',
  '#c9c9c9',
  '#a3a3a3',
  '#7d7d7d',
  '#666666',
  '#474747',
  '#2e2e2e',
  '#191919',
]

/** Mantine's own greys lean blue; the room must not. */
const gray: MantineColorsTuple = [
  '#f7f7f7',
  '#f0f0f0',
  '#e4e4e4',
  '#d6d6d6',
  '#c2c2c2',
  '#a3a3a3',
  '#7d7d7d',
  '#474747',
  '#333333',
  '#191919',
]

const field = { size: 'sm' as const }

/** The printed-page look, set once: screens carry no colours or sizes of their own. */
export const theme = createTheme({
  colors: { ink, gray },
  primaryColor: 'ink',
  primaryShade: { light: 9, dark: 1 },
  autoContrast: true,
  black: '#191919',
  fontFamily: "'Hanken Grotesk Variable', sans-serif",
  headings: { fontFamily: "'Bricolage Grotesque Variable', sans-serif", fontWeight: '650' },
  defaultRadius: 4,
  fontSizes: { xs: '0.78rem', sm: '0.875rem', md: '0.94rem', lg: '1.06rem', xl: '1.25rem' },
  cursorType: 'pointer',
  // plain records, not the components' own `extend`: that would fetch each of them with the first screen
  components: {
    Button: {
      defaultProps: { size: 'sm', variant: 'outline' } satisfies ButtonProps,
      // solid ink is black in the light room and white in the dark one: its words are the card's colour in both
      vars: (_: MantineTheme, { variant }: ButtonProps) => ({
        root: variant === 'filled' ? { '--button-color': 'var(--card)' } : {},
      }),
    },
    ActionIcon: { defaultProps: { variant: 'subtle', size: 'lg' } satisfies ActionIconProps },
    TextInput: { defaultProps: field },
    NumberInput: { defaultProps: field },
    ColorInput: {
      defaultProps: {
        ...field,
        eyeDropperButtonProps: { 'aria-label': 'Pick a colour from the screen' },
      } satisfies ColorInputProps,
    },
    Select: { defaultProps: { ...field, allowDeselect: false } satisfies SelectProps },
    Textarea: { defaultProps: field },
    Checkbox: { defaultProps: { size: 'sm' } satisfies CheckboxProps },
    Switch: { defaultProps: { size: 'sm' } satisfies SwitchProps },
    Modal: {
      defaultProps: {
        radius: 4,
        centered: true,
        overlayProps: { backgroundOpacity: 0.35 },
      } satisfies Partial<ModalProps>,
    },
    SegmentedControl: { classNames: { root: 'segments', indicator: 'segmentChosen' } },
    InputWrapper: { classNames: { label: 'fieldLabel' } },
  },
})

/** The room: neutral in both schemes, so that icing colours can be judged. */
export const roomVariables: CSSVariablesResolver = () => ({
  variables: { '--flag': '#a8510f' },
  light: {
    '--room': '#ededed',
    '--card': '#ffffff',
    '--well': '#f3f3f3',
    '--line': '#e2e2e2',
    '--line-strong': '#8a8a8a',
    '--text': '#191919',
    '--quiet': '#606060',
    '--bar': '#191919',
    '--bar-text': '#ffffff',
    '--bar-quiet': '#b9b9b9',
    '--flag': '#a8510f',
    '--mantine-color-body': '#ffffff',
    '--mantine-color-text': '#191919',
    '--mantine-color-dimmed': '#606060',
    '--mantine-color-error': '#a8510f',
    '--mantine-color-default-border': '#b9b9b9',
  },
  dark: {
    '--room': '#1b1b1b',
    '--card': '#262626',
    '--well': '#303030',
    '--line': '#3c3c3c',
    '--line-strong': '#9a9a9a',
    '--text': '#f1f1f1',
    '--quiet': '#b0b0b0',
    '--bar': '#0e0e0e',
    '--bar-text': '#f1f1f1',
    '--bar-quiet': '#a8a8a8',
    '--flag': '#e59a5c',
    '--mantine-color-body': '#262626',

    '--mantine-color-text': '#f1f1f1',
    '--mantine-color-dimmed': '#b0b0b0',
    '--mantine-color-error': '#e59a5c',
  },
})
