import type { Upgrade } from './upgrade';
import { each } from './walk';

/** Version 3 knew no recordings: everything was spoken by a voice. */
export const takes: Upgrade = {
  to: 4,
  why: 'Sheets and options can be heard from recordings; until then every sheet has none.',
  run: (older) => ({ ...older, sheets: each(older.sheets, (sheet) => ({ ...sheet, takes: {} })) }),
};
