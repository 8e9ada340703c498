import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { core } from '../jest.config.mjs';

/** The spec beside what is being changed, where there is one: it should notice by itself, and is quick. */
const beside = join('src', `${process.env.LOCUTOR_MUTATE}.spec.ts`);
const testMatch = existsSync(join(import.meta.dirname, beside)) ? [`<rootDir>/${beside}`] : core.testMatch;

/** The specs of core alone, for what runs them many times over. */
export default { ...core, rootDir: import.meta.dirname, testMatch, testTimeout: 30_000 };
