import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.data/**', 'docs/**', 'test-results/**'] },
  {
    files: ['**/*.ts', '**/*.vue'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/require-prop-comment': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      // Strings that are data, such as words of many scripts, are as long as they are.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true, ignoreUrls: true },
      ],
      'no-restricted-globals': [
        'error',
        'Date',
        'performance',
        'setTimeout',
        'setInterval',
        'queueMicrotask',
        'crypto',
        'console',
        'process',
        'fetch',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes in as a seed.' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'ThrowStatement > NewExpression[callee.name="Error"]', message: 'The core throws CoreError.' },
      ],
    },
  },
)
