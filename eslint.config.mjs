import js from '@eslint/js';
import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

const above = (names) => names.flatMap((name) => [`@/${name}`, `@/${name}/**`]);
const arrows = (files, forbidden, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: forbidden, message }] }] },
});

/** Words that docs/WORDS.md keeps off the screen; an outcome of the spin bench has one in its name. */
const QUAINT = '/\\b(reckon\\w*|cook(s|ed|ing)?|gives? way|(?<!bond )lets? go|takes? out|bears)\\b/i';
const WORDED = ['Literal[value=', 'TemplateElement[value.raw=', 'JSXText[value='].map((place) => ({
  selector: `${place}${QUAINT}]`,
  message: 'a plainer word: docs/WORDS.md',
}));
/** Controls come from the component library, dressed by the theme. */
const RAW = '/^(button|select|input|textarea|table|thead|tbody|tr|td|th|details|dialog|progress)$/';
const HAND_MADE = [
  {
    selector: `JSXOpeningElement[name.name=${RAW}]`,
    message: 'a component of the library, or of src/ui where it has none',
  },
];
/** Type, colours and lines are the theme's and the components' own; a page says where things stand. */
const LOOKS =
  '/^(color|bgcolor|background.*|font.*|border(?!Spacing).*|outline.*|fill|stroke.*|letterSpacing|lineHeight|textDecoration.*|opacity|boxShadow)$/';
const DRESSED = [
  {
    selector:
      'JSXAttribute[name.name="style"] Property[key.type="Identifier"][key.name!=/^(left|top|width|height|transform)$/]',
    message: 'inline only what is computed of place and size: sx for layout, the theme or a module for looks',
  },
  {
    selector: `JSXAttribute[name.name="sx"] Property[key.name=${LOOKS}]`,
    message: 'sx for layout alone: the theme or a module for looks',
  },
];

export default ts.config(
  {
    ignores: [
      '.next*/',
      'public/service-worker.js',
      '**/*.as.ts',
      '.data/',
      'node_modules/',
      'next-env.d.ts',
      'test-results/',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  hooks.configs.flat.recommended,
  next.configs['core-web-vitals'],
  {
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        Buffer: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        performance: 'readonly',
        AbortSignal: 'readonly',
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      'max-lines': ['error', 300],
      // pictures are files of the workshop or of this device, made small when they are kept
      '@next/next/no-img-element': 'off',
    },
  },
  arrows(
    ['src/core/**/!(*.test).ts'],
    [
      'react',
      'react/**',
      'react-dom',
      'next',
      'next/**',
      '@mui/**',
      'drizzle-orm',
      'drizzle-orm/**',
      'pg',
      'node:*',
      'fs',
      'path',
      ...above(['app', 'features', 'ui', 'workers', 'db', 'cli']),
    ],
    'core imports nothing above it',
  ),
  { files: ['**/*.cjs'], languageOptions: { globals: { module: 'readonly' } } },
  {
    files: ['src/core/**'],
    rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'localStorage', 'fetch'] },
  },
  {
    files: ['src/core/**'],
    ignores: ['src/core/base/errors.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='CalcError']",
          message:
            'A refusal is a code with facts, refusal(path, code, facts); its words stand in src/words/refusals.',
        },
        ...['Literal[value=/[a-z]{2}[ ,].*[a-z)]\\.$/]', 'TemplateElement[value.raw=/ .*[a-z)]\\.$/]'].map(
          (selector) => ({
            selector,
            message: 'Core states facts, finding(code, facts); their sentences stand in src/words.',
          }),
        ),
      ],
    },
  },
  arrows(
    ['src/workers/**'],
    ['react', 'next', '@mui/**', 'pg', ...above(['app', 'features', 'ui', 'db', 'cli'])],
    'workers stand over core alone',
  ),
  arrows(
    ['src/ui/**'],
    ['drizzle-orm', 'pg', ...above(['app', 'features', 'workers', 'db', 'cli'])],
    'ui stands over core alone',
  ),
  arrows(
    ['src/features/**'],
    ['drizzle-orm', 'pg', ...above(['app', 'db', 'cli'])],
    'features reach ui, workers and core',
  ),
  arrows(
    ['src/db/**'],
    ['react', 'next', '@mui/**', ...above(['app', 'features', 'ui', 'workers', 'cli'])],
    'db stands over core alone',
  ),
  arrows(
    ['src/cli/**'],
    ['react', 'next', '@mui/**', 'pg', ...above(['app', 'features', 'ui', 'workers', 'db'])],
    'cli stands over core alone',
  ),
  {
    files: ['src/{words,core,db,workers}/**/!(*.test).ts', 'src/ui/**/!(*.test).{ts,tsx}'],
    rules: { 'no-restricted-syntax': ['error', ...WORDED] },
  },
  {
    files: ['src/{features,app}/**/!(*.test).{ts,tsx}'],
    rules: { 'no-restricted-syntax': ['error', ...WORDED, ...HAND_MADE, ...DRESSED] },
  },
);
