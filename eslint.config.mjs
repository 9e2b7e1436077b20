import withNuxt from './.nuxt/eslint.config.mjs'

const outward = ['app', 'shared', 'server', 'bin', 'standin', 'demo', 'scripts', 'bench', 'tests'].flatMap(room => [
  `**/../${room}/**`,
  `~~/${room}/**`,
])
const frameworks = [
  'vue',
  'vue/*',
  '@vue/*',
  'nuxt',
  'nuxt/*',
  '#*',
  'pinia',
  'h3',
  'drizzle-orm',
  'drizzle-orm/*',
  'element-plus',
  'echarts',
  'yup',
  'postgres',
  'node:*',
  'fs',
  'path',
  'crypto',
  'os',
  'http',
]

/** Arrows point one way: everything may use core, core uses nothing but itself. */
export default withNuxt(
  { ignores: ['.data/**', '.output/**', 'server/db/migrations/**', 'test-results/**'] },
  {
    rules: {
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'max-lines': ['error', { max: 340, skipBlankLines: true, skipComments: true }],
      'max-len': ['error', { code: 140 }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'no-console': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.spec.ts', 'scripts/screenshots.mjs', 'bench/**', 'tests/**'],
    rules: { 'max-lines': ['error', 450], 'max-lines-per-function': 'off' },
  },
  { files: ['app/texts/*.ts', 'app/texts/en/*.ts'], rules: { 'max-lines': 'off', 'max-len': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: [...outward, ...frameworks], message: 'core imports no framework, no Node and no other room.' }] },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['~~/server/**', '~~/standin/watch/**', '~~/standin/simulation/**', '~~/bin/**', '~~/demo/**', '**/server/**'],
              message: 'app reaches the server only through its routes; of the stand-ins it knows the body alone.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['server/**/*.ts', 'standin/**/*.ts', 'demo/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['**/app/**', '~~/app/**', '**/bin/**'], message: 'only the screens know the screens.' }] },
      ],
    },
  },
)
