import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(js.configs.recommended, ...ts.configs.strict, {
    files: ['resources/js/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
        'react-hooks/rules-of-hooks': 'error',
        'react-hooks/exhaustive-deps': 'error',
        'no-restricted-syntax': ['error', { selector: "JSXAttribute[name.name='dangerouslySetInnerHTML']", message: 'No raw HTML.' }],
    },
}, { ignores: ['resources/js/contracts/*.d.ts'] });
