import fc from 'fast-check';
import type { CallScript } from '../call';
import {
  boxId,
  contactId,
  groupId,
  nameParts,
  personId,
  queueId,
  queueReasons,
  usualOutgoing,
  type Person,
} from '../directory';
import {
  keys,
  lineId,
  namedPathId,
  newAnnouncement,
  newMenu,
  schemaVersion,
  sheetId,
  type Attendant,
  type Path,
  type Sheet,
  type Step,
} from '../line';
import {
  everybody,
  harbourMaster,
  hours,
  junosBox,
  launchQueue,
  line,
  lunch,
  mainLine,
  moorings,
  noor,
  nuisance,
  office,
  open,
  priya,
  shedLine,
  slipHolders,
} from './boatyard';

const sheetIds = ['a', 'b', 'c', 'd'].map((name) => sheetId.create(name));
const pathIds = ['p', 'q'].map((name) => namedPathId.create(name));
const words = fc.constantFrom('', 'Hello.', 'One moment. There will be a short silence.');
const of = <Type extends string>(type: Type) => fc.constant(type);

const ringing = {
  seconds: fc.option(fc.integer({ min: 5, max: 300 })),
  before: words,
  hear: fc.constant({ type: 'ringback' as const }),
};
const outside = fc.oneof(
  fc.record({ type: of('contact'), contactId: fc.constantFrom(harbourMaster.id, contactId.create('gone')) }),
  fc.record({ type: of('number'), number: fc.constantFrom('', 'soon', '+12075550191', line.number) }),
);

const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({
    type: of('ring'),
    personId: fc.constantFrom(...everybody.map(({ id }) => id), personId.create('gone')),
    ...ringing,
    onCall: fc.boolean(),
  }),
  fc.record({ type: of('ringOperator'), ...ringing, seconds: fc.integer({ min: 5, max: 300 }) }),
  fc.record({ type: of('ringOutside'), to: outside, accept: fc.boolean(), ...ringing }),
  fc.record({ type: of('handOver'), to: outside, before: words }),
  fc.record({
    type: of('ringGroup'),
    groupId: fc.constantFrom(moorings.id, groupId.create('gone')),
    seconds: fc.option(fc.integer({ min: 5, max: 60 })),
    before: words,
    hear: fc.constant({ type: 'ringback' as const }),
  }),
  fc.record({ type: of('waitInQueue'), queueId: fc.constantFrom(launchQueue.id, queueId.create('gone')) }),
  fc.record({ type: of('toLine'), lineId: fc.constantFrom(mainLine, shedLine, lineId.create('gone')) }),
  fc.record({ type: of('say'), spoken: fc.record({ type: of('typed'), words }) }),
  fc.record({
    type: of('takeMessage'),
    boxId: fc.constantFrom(office.id, boxId.create('gone')),
    beep: fc.option(fc.boolean()),
    tell: fc.constant(null),
  }),
  fc.record({ type: of('goTo'), sheetId: fc.constantFrom(...sheetIds, sheetId.create('gone')) }),
  fc.record({ type: of('back') }),
  fc.record({ type: of('sayAgain') }),
  fc.record({ type: of('searchByName'), by: fc.constantFrom(...nameParts), seconds: fc.constant(24) }),
  fc.record({ type: of('askExtension'), seconds: fc.constant(24) }),
  fc.record({ type: of('followPath'), pathId: fc.constantFrom(...pathIds, namedPathId.create('gone')) }),
  fc.record({ type: of('record'), on: fc.boolean(), tells: fc.boolean() }),
  fc.record({ type: of('hangUp'), words }),
);

const path: fc.Arbitrary<Path> = fc.array(step, { maxLength: 4 });

const options = fc.uniqueArray(
  fc.record({ key: fc.constantFrom(...keys), label: fc.oneof(words, of('moorings')), readOut: fc.boolean(), path }),
  { selector: (option) => option.key, maxLength: 6 },
);

const sheetOf = (id: (typeof sheetIds)[number]): fc.Arbitrary<Sheet> =>
  fc.oneof(
    fc
      .record({
        openingWords: words,
        options,
        closingWords: words,
        voice: fc.option(fc.constantFrom('frWoman' as const, 'rms' as const)),
        keysDuringGreeting: fc.boolean(),
        silentRounds: fc.integer({ min: 1, max: 3 }),
        wrongKeys: fc.integer({ min: 1, max: 3 }),
        silencePath: path,
        wrongKeyPath: path,
        extensions: fc.option(fc.record({ waitSeconds: fc.integer({ min: 1, max: 10 }) })),
        speech: fc.boolean(),
      })
      .map((menu) => ({ ...newMenu(id, id), ...menu })),
    fc.record({ words, afterPath: path }).map((sheet) => ({ ...newAnnouncement(id, id), ...sheet })),
  );

const attendant: fc.Arbitrary<Attendant> = fc.record({
  schemaVersion: fc.constant(schemaVersion),
  voice: of('slt'),
  sheets: fc.tuple(...sheetIds.map(sheetOf)),
  paths: fc.tuple(...pathIds.map((id) => path.map((steps) => ({ id, name: id, steps })))),
  answering: fc.record({
    rules: fc.tuple(path, path).map(([day, slips]) => [
      { type: 'callers' as const, callerListId: slipHolders.id, path: slips },
      { type: 'period' as const, periodId: open.id, path: day },
    ]),
    otherwise: path,
  }),
  fallbacks: fc.uniqueArray(
    fc.oneof(
      path.map((steps) => ({ type: 'group' as const, groupId: moorings.id, path: steps })),
      fc
        .tuple(fc.constantFrom(...queueReasons), path)
        .map(([reason, steps]) => ({ type: 'queue' as const, queueId: launchQueue.id, reason, path: steps })),
    ),
    { selector: (each) => (each.type === 'queue' ? each.reason : 'group') },
  ),
});

const operator = fc.constantFrom<CallScript['lines'][number]['operatorId']>(
  null,
  noor.id,
  priya.id,
  moorings.id,
  personId.create('gone'),
  groupId.create('gone'),
);

const mobile = { type: 'outside', number: '+12075550163', seconds: 9, accept: false, onCallOnly: true } as const;
const [, second, ...others] = everybody as [Person, Person, ...Person[]];
/** Somebody with a phone that rings only when they are on call. */
const onCallToo: Person = { ...second, phones: [...second.phones, mobile] };

/** Any two lines at all, sound or not: circles, dead ends, steps to what is deleted. */
export const anyScript: fc.Arbitrary<CallScript> = fc
  .tuple(attendant, attendant, operator)
  .map(([main, shed, operatorId]) => {
    const periods = { ...hours, periods: [open, lunch] };
    return {
      lineId: mainLine,
      lines: [
        { ...line, hours: periods, attendant: main, operatorId },
        { ...line, id: shedLine, number: '+12075550155', hours: periods, attendant: shed },
      ],
      people: [{ ...noor, hoursId: hours.id }, onCallToo, ...others],
      boxes: [office, junosBox],
      groups: [moorings],
      queues: [launchQueue],
      contacts: [harbourMaster],
      callerLists: [slipHolders, nuisance],
      greetings: [],
      takes: [],
      holdMusic: 'harbor',
      outgoing: usualOutgoing,
      hours: [hours],
    };
  });
