import prettier from 'eslint-config-prettier'
import regexp from 'eslint-plugin-regexp'
import withNuxt from './.nuxt/eslint.config.mjs'

/** Arrows point one way: which rooms a room may not reach into. */
const FORBIDDEN = {
  'core/**': ['contract', 'server', 'app', 'demo', 'bin'],
  'contract/**': ['server', 'app', 'demo', 'bin'],
  'demo/**': ['server', 'app', 'bin'],
  'server/**': ['app', 'demo', 'bin'],
  'app/**': ['server', 'demo', 'bin'],
}

/** Rooms of app/ that hold no component and know none. */
const NO_COMPONENTS = ['stores', 'composables', 'drawing', 'keys', 'papers', 'sync', 'workers']

/** Lines of at most 120 columns, but for words that are shown as they stand. */
const LINE = {
  code: 120,
  ignoreStrings: true,
  ignoreTemplateLiterals: true,
  ignoreRegExpLiterals: true,
  ignoreUrls: true,
}

/** core/ is pure: no interface, no database, no machine. */
const NOT_IN_CORE = ['vue', 'nuxt', 'pinia', 'vuetify', 'yup', 'mysql2', 'h3', 'node:*', '#*']

const layers = Object.entries(FORBIDDEN).map(([files, rooms]) => ({
  files: [files],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...rooms.map(room => ({
            group: [`**/${room}/**`, `~~/${room}/**`, ...(room === 'app' ? ['~/**'] : [])],
            message: `${files.split('/')[0]}/ may not know ${room}/`,
          })),
          ...(files === 'core/**' ? [{ group: NOT_IN_CORE, message: 'core/ is pure TypeScript' }] : []),
        ],
      },
    ],
  },
}))

export default withNuxt(
  { ignores: ['.data/**', '.output/**', '*.tmp.mjs'] },
  ...layers,
  {
    files: NO_COMPONENTS.map(room => `app/${room}/**`),
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['~/components/**', '**/components/**'], message: 'what draws and keeps knows no component' },
            ...FORBIDDEN['app/**'].map(room => ({
              group: [`**/${room}/**`, `~~/${room}/**`],
              message: `app/ may not know ${room}/`,
            })),
          ],
        },
      ],
    },
  },
  {
    files: ['core/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'chance comes in as an argument' },
        { object: 'Date', property: 'now', message: 'time comes in as an argument' },
      ],
    },
  },
  {
    files: ['server/api/**'],
    ignores: ['server/api/[[]...[]].ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "ImportDeclaration[source.value='h3'] ImportSpecifier[imported.name=/^(defineEventHandler|readBody)$/]",
          message: 'a route says who may and what it takes: defineRoute',
        },
      ],
    },
  },
  {
    files: ['contract/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.type='ThisExpression'][property.name='parent']",
          message: 'a field beside this one may be of any type as yet: across',
        },
      ],
    },
  },
  {
    files: ['app/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          "VariableDeclarator[id.name='document']",
          "VariableDeclarator > ObjectPattern > Property[value.name='document']",
          ":function > Identifier.params[name='document']",
          ":function > ObjectPattern.params > Property[value.name='document']",
        ].map(selector => ({ selector, message: 'document is the page: say coupon, test or sheet' })),
      ],
    },
  },
  { files: ['core/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { rules: { 'vue/multi-word-component-names': 'off' } },
  // A text that a stranger sent is searched in a time that grows with its length, and no faster.
  {
    files: ['**/*.{ts,mjs,vue}'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
    },
  },
  prettier,
  // Prettier breaks what it can; this holds the comments, which it leaves alone.
  { files: ['**/*.ts', '**/*.mjs'], rules: { 'max-len': ['error', LINE] } },
  {
    files: ['**/*.vue'],
    rules: {
      'vue/max-len': [
        'error',
        { ...LINE, template: 120, ignoreHTMLAttributeValues: true, ignoreHTMLTextContents: true },
      ],
    },
  },
)
