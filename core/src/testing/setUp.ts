import fc from 'fast-check';
import { cases } from './cases';

/** What property tests try that do not say how many cases they want. */
fc.configureGlobal(cases(100));
