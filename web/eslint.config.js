import { existsSync, readdirSync, readFileSync } from 'node:fs'
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import { parser, program } from './eslint-program.js'

/**
 * Feature folders may use api and ui, and each other only where the view says so: each folder with a view.ts is a view.
 */
const views = readdirSync(`${import.meta.dirname}/src`).filter((folder) =>
  existsSync(`${import.meta.dirname}/src/${folder}/view.ts`),
)
const mayUse = Object.fromEntries(
  views.map((view) => {
    const text = readFileSync(`${import.meta.dirname}/src/${view}/view.ts`, 'utf8')
    return [
      view,
      [...(/uses: \[([^\]]*)\]/.exec(text)?.[1] ?? '').matchAll(/'(\w+)'/g)].map((m) => m[1]),
    ]
  }),
)
const features = [...new Set([...views, 'session', 'message'])]

export default ts.config(
  { ignores: ['target', 'node_modules', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: {
      globals: globals.browser,
      parserOptions: {
        parser,
        programs: [program],
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      'no-console': 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['*.js'],
    ...ts.configs.disableTypeChecked,
    languageOptions: { parserOptions: { programs: null, projectService: false } },
  },
  ...features.map((feature) => ({
    files: [`src/${feature}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: features
                .filter((other) => other !== feature && !(mayUse[feature] ?? []).includes(other))
                .map((other) => `@/${other}/*`)
                .concat(['@/app/*']),
              message: 'A feature uses api, ui and the features listed in eslint.config.js.',
            },
          ],
        },
      ],
    },
  })),
  {
    files: ['src/ui/**', 'src/api/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: features.map((feature) => `@/${feature}/*`).concat(['@/app/*']) },
      ],
    },
  },
  prettier,
)
