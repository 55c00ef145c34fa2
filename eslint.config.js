import js from '@eslint/js';
import { createNodeResolver, importX } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

// The rooms of the front end from the ground up: each may know those before it, and none after.
const rooms = ['contracts', 'theme', 'shared', 'settings', 'frame', 'sign-in', 'parts', 'bin', 'people', 'tools', 'machines', 'touching-off', 'logbook',
    'setup', 'profiles', 'sheet', 'bench', 'compare', 'machine'];
const zones = rooms.map((room, n) => ({
    target: `./resources/js/${room}`, from: rooms.slice(n + 1).map((later) => `./resources/js/${later}`),
    message: `${room} may know only ${rooms.slice(0, n).join(', ')}.`,
})).filter(({ from }) => from.length > 0);

export default ts.config(js.configs.recommended, ...ts.configs.strict, {
    files: ['resources/js/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks, 'import-x': importX },
    settings: {
        'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.d.ts', '.js'] })],
        'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
        'react-hooks/rules-of-hooks': 'error',
        'react-hooks/exhaustive-deps': 'error',
        'import-x/no-cycle': 'error',
        'import-x/no-restricted-paths': ['error', { zones }],
        'no-restricted-syntax': ['error', { selector: "JSXAttribute[name.name='dangerouslySetInnerHTML']", message: 'No raw HTML.' }],
    },
}, { ignores: ['resources/js/contracts/*.d.ts'] });
