import { lintConfig } from './lint/config.mjs';

export default [{ ignores: ['lint/planted/**'] }, ...lintConfig(import.meta.dirname)];
