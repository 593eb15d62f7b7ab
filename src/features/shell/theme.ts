import { Button, createTheme, type MantineColorsTuple } from '@mantine/core';

const ink: MantineColorsTuple = [
  '#f2efe8',
  '#ddd9ce',
  '#c0bdb2',
  '#9b9a92',
  '#77786f',
  '#5b5c56',
  '#444846',
  '#23282b',
  '#1b2124',
  '#12171a',
];

/** Mantine in the house's look: square, ink on paper; colours come from the page's own variables. */
export const theme = createTheme({
  fontFamily: "'Hanken Grotesk Variable', sans-serif",
  primaryColor: 'ink',
  primaryShade: { light: 7, dark: 1 },
  autoContrast: true,
  defaultRadius: 0,
  colors: { ink },
  components: {
    TextInput: { defaultProps: { size: 'md' } },
    NumberInput: { defaultProps: { size: 'md', hideControls: true } },
    NativeSelect: { defaultProps: { size: 'md' } },
    // What is said of a box stands under it: those of a row begin at one height.
    InputWrapper: { defaultProps: { inputWrapperOrder: ['label', 'input', 'description', 'error'] } },
    Table: { defaultProps: { captionSide: 'top' } },
    Textarea: { defaultProps: { size: 'md', autosize: true, minRows: 2 } },
    Button: Button.extend({
      defaultProps: { size: 'lg' },
      vars: (_, props) => ({
        root:
          props.variant === 'outline'
            ? {
                '--button-bg': 'transparent',
                '--button-hover': 'var(--wash)',
                '--button-color': 'var(--ink)',
                '--button-bd': '1.5px solid var(--ink)',
              }
            : { '--button-bg': 'var(--ink)', '--button-hover': 'var(--ink)', '--button-color': 'var(--paper)' },
      }),
    }),
  },
});
