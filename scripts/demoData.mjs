import { makeDemoData } from './setup.mjs';

/** For tests that are run by themselves: makes the demo business where it is not kept yet. */
makeDemoData();
