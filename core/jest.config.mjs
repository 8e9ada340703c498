import { core } from '../jest.config.mjs';

/** The specs of core alone, for what runs them many times over. */
export default { ...core, rootDir: import.meta.dirname, testTimeout: 30_000 };
