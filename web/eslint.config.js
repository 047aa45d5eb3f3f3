import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'target', 'src/api/schema.d.ts', 'public'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  hooks.configs.flat['recommended-latest'],
  { rules: { '@typescript-eslint/no-non-null-assertion': 'error' } },
  {
    // At addresses that are not secure it is not there.
    files: ['src/**'],
    ignores: ['src/api/newId.ts', '**/*.test.*'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'crypto', property: 'randomUUID', message: 'Use newId().' },
        { object: 'crypto', property: 'subtle', message: 'It is there at secure addresses only.' },
      ],
    },
  },
);
