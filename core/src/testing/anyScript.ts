import fc from 'fast-check';
import type { CallScript } from '../call';
import {
  keys,
  newAnnouncement,
  newMenu,
  schemaVersion,
  sheetId,
  type Attendant,
  type Path,
  type Sheet,
  type Step,
} from '../line';
import { hours, lunch, noor, office, open, priya, zone } from './boatyard';
import { boxId, personId } from '../directory';

const sheetIds = ['a', 'b', 'c', 'd'].map((name) => sheetId.create(name));
const words = fc.constantFrom('', 'Hello.', 'One moment. There will be a short silence.');

const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({
    type: fc.constant('ring' as const),
    personId: fc.constantFrom(noor.id, priya.id, personId.create('gone')),
    seconds: fc.integer({ min: 5, max: 300 }),
  }),
  fc.record({
    type: fc.constant('say' as const),
    spoken: fc.record({ type: fc.constant('typed' as const), words }),
  }),
  fc.record({ type: fc.constant('takeMessage' as const), boxId: fc.constantFrom(office.id, boxId.create('gone')) }),
  fc.record({ type: fc.constant('goTo' as const), sheetId: fc.constantFrom(...sheetIds, sheetId.create('gone')) }),
  fc.record({ type: fc.constant('sayAgain' as const) }),
  fc.record({ type: fc.constant('hangUp' as const), words }),
);

const path: fc.Arbitrary<Path> = fc.array(step, { maxLength: 4 });

const options = fc.uniqueArray(
  fc.record({ key: fc.constantFrom(...keys), label: words, readOut: fc.boolean(), path }),
  {
    selector: (option) => option.key,
    maxLength: 6,
  },
);

const sheetOf = (id: (typeof sheetIds)[number]): fc.Arbitrary<Sheet> =>
  fc.oneof(
    fc
      .record({
        openingWords: words,
        options,
        closingWords: words,
        keysDuringGreeting: fc.boolean(),
        silentRounds: fc.integer({ min: 1, max: 3 }),
        wrongKeys: fc.integer({ min: 1, max: 3 }),
        silencePath: path,
        wrongKeyPath: path,
      })
      .map((menu) => ({ ...newMenu(id, id), ...menu })),
    fc.record({ words, afterPath: path }).map((sheet) => ({ ...newAnnouncement(id, id), ...sheet })),
  );

const attendant: fc.Arbitrary<Attendant> = fc.record({
  schemaVersion: fc.constant(schemaVersion),
  voice: fc.constant('slt' as const),
  sheets: fc.tuple(...sheetIds.map(sheetOf)),
  answering: fc.record({
    rules: path.map((each) => [{ periodId: open.id, path: each }]),
    otherwise: path,
  }),
});

/** Any attendant at all, sound or not: circles, dead ends, steps to what is deleted. */
export const anyScript: fc.Arbitrary<CallScript> = attendant.map((each) => ({
  attendant: each,
  timeZone: zone,
  hours: { ...hours, periods: [open, lunch] },
  people: [noor, priya],
  boxes: [office],
  greetings: [],
}));
