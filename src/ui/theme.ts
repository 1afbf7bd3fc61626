import { FINGER, FINGER_EVERYWHERE, TOUCH, focusRing } from './touch';
import { quickSystem } from './quickSystem';
import {
  createSystem,
  defaultBaseConfig,
  defineConfig,
  defineRecipe,
  defineSlotRecipe,
} from '@chakra-ui/react';

const values = <T extends string | number>(entries: Record<string, T>) =>
  Object.fromEntries(Object.entries(entries).map(([name, value]) => [name, { value }]));

const STEPS = [
  0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 20, 24, 32, 40, 48, 64, 80,
];
const space = Object.fromEntries(STEPS.map((n) => [String(n), { value: `${n * 0.25}rem` }]));

const field = {
  width: '100%',
  minH: TOUCH.desk,
  ...FINGER,
  px: '2.5',
  bg: 'card',
  color: 'ink',
  borderWidth: '1px',
  borderColor: 'ink3',
  borderRadius: '0',
  fontFamily: 'body',
  fontSize: 'md',
  _focusVisible: { outline: '3px solid', outlineColor: 'focus', outlineOffset: '0px' },
  _invalid: { borderColor: 'oxide', borderWidth: '2px' },
  _disabled: { color: 'ink2', bg: 'paper', cursor: 'not-allowed' },
} as const;

const popover = defineSlotRecipe({
  className: 'bm-popover',
  slots: ['content', 'body', 'title', 'trigger', 'arrow', 'arrowTip', 'closeTrigger', 'positioner'],
  base: {
    content: {
      bg: 'card',
      color: 'ink',
      borderWidth: '1.5px',
      borderColor: 'ink',
      width: '380px',
      maxW: 'calc(100vw - 24px)',
      maxH: 'min(var(--available-height), 700px)',
      overflowY: 'auto',
      zIndex: 'popover',
      outline: 'none',
      boxShadow: '6px 6px 0 rgba(34,48,47,.12)',
    },
    body: { p: '4' },
  },
});

const dialog = defineSlotRecipe({
  className: 'bm-dialog',
  slots: [
    'backdrop',
    'positioner',
    'content',
    'header',
    'title',
    'body',
    'footer',
    'description',
    'trigger',
    'closeTrigger',
  ],
  base: {
    backdrop: { position: 'fixed', inset: '0', bg: 'rgba(34,48,47,.55)', zIndex: 'modal' },
    positioner: {
      position: 'fixed',
      inset: '0',
      display: 'flex',
      alignItems: 'center',
      justifyContent: 'center',
      zIndex: 'modal',
      p: '4',
    },
    content: {
      bg: 'card',
      borderWidth: '1.5px',
      borderColor: 'ink',
      width: '560px',
      maxW: '100%',
      maxH: '90vh',
      overflowY: 'auto',
      outline: 'none',
    },
    header: { px: '5', pt: '5' },
    title: { fontFamily: 'heading', fontSize: 'xl', fontWeight: '600' },
    body: { px: '5', py: '3' },
    footer: { display: 'flex', gap: '3', justifyContent: 'flex-end', px: '5', pb: '5' },
  },
});

const config = defineConfig({
  cssVarsPrefix: 'bm',
  preflight: true,
  globalCss: {
    'html, body': {
      bg: 'paper',
      color: 'ink',
      fontFamily: 'body',
      fontSize: 'md',
      lineHeight: '1.4',
      minHeight: '100vh',
    },
    'a:focus-visible, summary:focus-visible, [tabindex]:focus-visible': focusRing,
    // The browser's own key beside a field for files, as our other keys are.
    'input::file-selector-button': {
      ...{ minHeight: TOUCH.desk, paddingInline: '4', marginInlineEnd: '3', cursor: 'pointer' },
      ...{ fontFamily: 'heading', fontWeight: '600', color: 'ink', bg: 'card' },
      ...{ borderWidth: '1px', borderStyle: 'solid', borderColor: 'ink3' },
    },
    'input::file-selector-button:hover': { bg: 'amberWash' },
    ...FINGER_EVERYWHERE,
  },
  theme: {
    breakpoints: { md: '48rem', lg: '62rem', xl: '76rem' },
    tokens: {
      colors: values({
        paper: '#f7f2e8',
        card: '#fffdf8',
        ink: '#22302f',
        ink2: '#53625f',
        ink3: '#7c8781',
        line: '#dccfb8',
        focus: '#1d5fa8',
        amber: '#c27c1e',
        amberDeep: '#85540f',
        amberLine: '#dba84e',
        amberSoft: '#e7b765',
        amberPale: '#f3dcb2',
        amberWash: '#f6ead4',
        verdigris: '#2f6b62',
        verdigrisPale: '#dfe7e0',
        oxide: '#a5402a',
        oxideWash: '#f6e3dc',
        slate: '#4b5f6b',
        slatePale: '#dbe3e6',
      }),
      fonts: {
        heading: { value: "'Barlow Semi Condensed', 'Arial Narrow', sans-serif" },
        body: { value: "'Barlow', system-ui, sans-serif" },
        mono: { value: "'Spline Sans Mono', ui-monospace, monospace" },
      },
      fontSizes: values({
        xs: '0.8125rem',
        sm: '0.875rem',
        md: '1rem',
        lg: '1.125rem',
        xl: '1.3125rem',
        '2xl': '1.625rem',
        '3xl': '2.125rem',
        '4xl': '2.875rem',
        bench: 'clamp(5rem, min(16vw, 24vh), 13.5rem)',
      }),
      spacing: space,
      sizes: { ...space, full: { value: '100%' } },
      zIndex: values({ strip: 20, popover: 1500, modal: 1400, alert: 1600 }),
      durations: values({ fast: '80ms' }),
    },
    recipes: {
      input: defineRecipe({ className: 'bm-input', base: field }),
      textarea: defineRecipe({
        className: 'bm-textarea',
        base: { ...field, py: '2', minH: '72px' },
      }),
      heading: defineRecipe({
        className: 'bm-heading',
        base: { fontFamily: 'heading', fontWeight: '600', lineHeight: '1.15', color: 'ink' },
      }),
      text: defineRecipe({ className: 'bm-text' }),
    },
    slotRecipes: {
      popover,
      dialog,
      nativeSelect: defineSlotRecipe({
        className: 'bm-select',
        slots: ['root', 'field', 'indicator'],
        base: {
          root: { position: 'relative', width: '100%' },
          field: { ...field, appearance: 'none', pe: '9' },
          indicator: {
            position: 'absolute',
            right: '2.5',
            top: '50%',
            transform: 'translateY(-50%)',
            pointerEvents: 'none',
            height: '4',
            width: '4',
          },
        },
      }),
    },
  },
});

export const system = quickSystem(createSystem(defaultBaseConfig, config));
