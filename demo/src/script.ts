import type { BoxId, CallerListId, ContactId, GroupId, PersonId, QueueId } from '@locutor/core/directory';
import type { HoursId, PeriodId } from '@locutor/core/hours';
import {
  messageDefaults,
  namedPathId,
  newAnnouncement,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
  type Fallback,
  type Key,
  type LineId,
  type NamedPath,
  type Option,
  type Path,
} from '@locutor/core/line';
import type { GroupName } from './groups';
import type { BoxName, StaffName } from './people';

/** What the script refers to, by name. */
export interface Cast {
  readonly person: (name: StaffName) => PersonId;
  readonly group: (name: GroupName) => GroupId;
  readonly launchLine: QueueId;
  readonly box: (name: BoxName) => BoxId;
  readonly period: (name: 'Open' | 'Lunch') => PeriodId;
  readonly contact: (name: string) => ContactId;
  readonly callers: (name: string) => CallerListId;
  /** The hours of the fuel dock. */
  readonly dock: HoursId;
}

export const sheets = {
  welcome: sheetId.create('welcome'),
  repairs: sheetId.create('repairs'),
  launch: sheetId.create('launch'),
  afterHours: sheetId.create('afterHours'),
  fuel: sheetId.create('fuel'),
  whereWeAre: sheetId.create('whereWeAre'),
  french: sheetId.create('french'),
  shed: sheetId.create('shed'),
  shedClosed: sheetId.create('shedClosed'),
} as const;

const frontDesk = namedPathId.create('frontDesk');
const urgent = namedPathId.create('urgent');

const goTo = (to: keyof typeof sheets): Path => [{ type: 'goTo', sheetId: sheets[to] }];
const option = (key: Key, label: string, path: Path): Option => ({ key, label, readOut: true, path });

/** The boatyard's attendant. */
export function boatyardAttendant(cast: Cast): Attendant {
  const parts = pathsOf(cast);
  return {
    schemaVersion,
    voice: 'slt',
    sheets: [
      welcome(parts),
      repairs(parts),
      launch(parts),
      fuel(cast.dock),
      whereWeAre(),
      french(parts),
      afterHours(parts),
    ],
    paths: namedPaths(parts),
    fallbacks: fallbacks(cast, parts),
    answering: {
      rules: [
        { type: 'callers', callerListId: cast.callers('Slip holders'), path: parts.moorings },
        {
          type: 'period',
          periodId: cast.period('Lunch'),
          path: [
            {
              type: 'say',
              spoken: { type: 'typed', words: 'The front desk is at lunch until half past twelve. The yard is open.' },
            },
            ...goTo('welcome'),
          ],
        },
        { type: 'period', periodId: cast.period('Open'), path: goTo('welcome') },
      ],
      otherwise: goTo('afterHours'),
    },
  };
}

type Paths = ReturnType<typeof pathsOf>;

function pathsOf({ person, group, launchLine, box, contact }: Cast) {
  const message = (name: BoxName): Path => [{ type: 'takeMessage', boxId: box(name), ...messageDefaults }];
  const ring = (names: readonly StaffName[], seconds: number): Path =>
    names.map((name) => ({ ...ringDefaults, type: 'ring', personId: person(name), seconds }));
  const ringGroup = (name: GroupName): Path => [
    { ...ringDefaults, type: 'ringGroup', groupId: group(name), seconds: null },
  ];
  const harborMaster = { type: 'contact', contactId: contact('Harbor master') } as const;
  return {
    message,
    frontDesk: [{ type: 'followPath', pathId: frontDesk }],
    frontDeskSteps: [{ ...ringDefaults, type: 'ringOperator', seconds: 24 }, ...message('Office')],
    urgent: [{ type: 'followPath', pathId: urgent }],
    urgentSteps: [
      { type: 'say', spoken: { type: 'typed', words: 'Stay on the line. We are calling the yard.' } },
      ...ringGroup('On call'),
      {
        ...ringDefaults,
        type: 'ringOutside',
        to: harborMaster,
        accept: false,
        seconds: 24,
        before: 'Nobody at the yard answers yet. We are calling the harbor master.',
      },
      ...message('Yard'),
    ],
    moorings: [...ringGroup('Moorings'), ...message('Moorings')],
    parts: [...ringGroup('Parts counter'), ...message('Parts')],
    accounts: [...ring(['Hana Zielinska'], 24), ...message('Accounts')],
    engines: [...ring(['Mateo O’Dowd', 'Cormac Adeyemi'], 18), ...message('Yard')],
    rigging: [...ring(['Ingrid Vasquez-Thorne'], 24), ...message('Yard')],
    haulOut: [...ringGroup('Yard'), ...message('Yard')],
    launchLine: [{ type: 'waitInQueue', queueId: launchLine }, ...message('Yard')],
  } as const satisfies Record<string, Path | ((name: BoxName) => Path)>;
}

/** Where calls go that came past the script to a group, and who leaves the queue by its key. */
function fallbacks({ group, launchLine }: Cast, paths: Paths): readonly Fallback[] {
  return [
    { type: 'group', groupId: group('Front desk'), path: paths.message('Office') },
    { type: 'group', groupId: group('Moorings'), path: paths.message('Moorings') },
    { type: 'group', groupId: group('Parts counter'), path: paths.message('Parts') },
    { type: 'group', groupId: group('Yard'), path: paths.message('Yard') },
    { type: 'queue', queueId: launchLine, reason: 'full', path: sayThenYard(paths, 'All lines are taken.') },
    { type: 'queue', queueId: launchLine, reason: 'tooLong', path: sayThenYard(paths, 'Nobody is free just now.') },
    { type: 'queue', queueId: launchLine, reason: 'nobodyWorking', path: paths.message('Yard') },
    { type: 'queue', queueId: launchLine, reason: 'exitKey', path: paths.message('Yard') },
  ];
}

function sayThenYard({ message }: Paths, words: string): Path {
  return [
    { type: 'say', spoken: { type: 'typed', words: `${words} Leave your number and we will call you back today.` } },
    ...message('Yard'),
  ];
}

/** Written once, followed from several keys. */
function namedPaths(paths: Paths): readonly NamedPath[] {
  return [
    { id: frontDesk, name: 'Front desk', steps: paths.frontDeskSteps },
    { id: urgent, name: 'Boat in trouble', steps: paths.urgentSteps },
  ];
}

function welcome(paths: Paths) {
  return {
    ...newMenu(sheets.welcome, 'Welcome'),
    openingWords: 'Thank you for calling Larkspur Cove Boatyard.',
    options: welcomeOptions(paths),
    extensions: { waitSeconds: 2 },
    speech: true,
    closingWords: 'Pour le français, le 9. If a boat is taking on water at its mooring, press star now.',
    silencePath: paths.frontDesk,
    wrongKeyPath: paths.frontDesk,
  };
}

function welcomeOptions(paths: Paths): readonly Option[] {
  return [
    option('1', 'moorings and dock space', paths.moorings),
    option('2', 'haul-out, launch and repairs', goTo('repairs')),
    option('3', 'the parts counter', paths.parts),
    option('4', 'fuel dock hours and depth', goTo('fuel')),
    option('5', 'accounts', paths.accounts),
    { ...option('7', 'where we are', goTo('whereWeAre')), readOut: false },
    option('8', 'to find somebody by name', [
      { type: 'searchByName', by: 'lastName', seconds: 24 },
      ...paths.frontDesk,
    ]),
    option('0', 'the front desk', paths.frontDesk),
    { ...option('9', 'le français', goTo('french')), readOut: false },
    // Said in the closing words, with the urgency that the read-out cannot give it.
    { key: '*', label: 'a boat taking on water', readOut: false, path: paths.urgent },
  ];
}

function repairs(paths: Paths) {
  return {
    ...newMenu(sheets.repairs, 'Repairs and haul-out'),
    openingWords: 'Repairs and haul-out.',
    options: [
      option('1', 'haul-out and launch dates', goTo('launch')),
      option('2', 'engines', paths.engines),
      option('3', 'rigging', paths.rigging),
      option('9', 'to go back', [{ type: 'back' }]),
    ],
    closingWords: 'Or stay on the line for the yard foreman.',
    silentRounds: 1,
    silencePath: paths.haulOut,
    wrongKeyPath: paths.haulOut,
  };
}

function launch(paths: Paths) {
  return {
    ...newMenu(sheets.launch, 'Launch day'),
    openingWords: 'Launching runs from the middle of April to the end of May, with the tide.',
    options: [
      option('1', 'to ask for a date', paths.launchLine),
      option('2', 'to leave your boat’s name and a number', paths.message('Yard')),
      option('9', 'to go back', [{ type: 'back' }]),
    ],
    silencePath: paths.message('Yard'),
    wrongKeyPath: paths.message('Yard'),
  };
}

function fuel(dock: HoursId) {
  return {
    ...newAnnouncement(sheets.fuel, 'Fuel dock'),
    words:
      `The fuel dock is open {week ${dock}}. At low water there are six feet at the face of the dock. ` +
      'Gas and diesel, and pump-out on request.',
    // Callers come here by day and by night: each goes back to where they were.
    afterPath: [{ type: 'back' }] as const,
  };
}

function whereWeAre() {
  return {
    ...newAnnouncement(sheets.whereWeAre, 'Where we are'),
    words:
      'We are at the foot of Cannery Road, on the east side of Larkspur Cove. From the water, keep the red bell to ' +
      'starboard and look for the blue crane.',
    afterPath: [{ type: 'back' }] as const,
  };
}

function afterHours(paths: Paths) {
  const message = paths.message('Office');
  return {
    ...newMenu(sheets.afterHours, 'After hours'),
    openingWords: 'Thank you for calling {business}. The office is closed now. We open {opens}.',
    options: [
      option('1', 'a boat taking on water at its mooring', paths.urgent),
      option('2', 'to leave a message', message),
      option('3', 'fuel dock hours and depth', goTo('fuel')),
      option('9', 'to hear this again', [{ type: 'sayAgain' }]),
    ],
    closingWords: 'Or stay on the line to leave a message.',
    silentRounds: 1,
    silencePath: message,
    wrongKeyPath: message,
  };
}

/** For visitors from Quebec. */
function french(paths: Paths) {
  return {
    ...newMenu(sheets.french, 'Bienvenue'),
    voice: 'frWoman' as const,
    openingWords: 'Bienvenue au chantier naval de Larkspur Cove.',
    options: [
      option('1', 'une place à quai', paths.moorings),
      option('2', 'les réparations', paths.haulOut),
      option('0', 'l’accueil', paths.frontDesk),
      option('9', 'revenir à l’anglais', [{ type: 'back' }]),
    ],
    closingWords: 'Ou restez en ligne.',
    silenceWords: 'Êtes-vous toujours là ?',
    wrongKeyWords: 'Désolé, cette touche ne sert à rien ici.',
    silencePath: paths.frontDesk,
    wrongKeyPath: paths.frontDesk,
  };
}

/** The attendant of the winter-storage shed across the river; what it does not know it hands over to the main line. */
export function shedAttendant(
  { person, box }: Pick<Cast, 'person' | 'box'>,
  open: PeriodId,
  mainLine: LineId,
): Attendant {
  const message: Path = [{ type: 'takeMessage', boxId: box('Winter storage'), ...messageDefaults }];
  const storage: Path = (['Lucienne Abara', 'Anselm Drury'] as const).map((name) => ({
    ...ringDefaults,
    type: 'ring',
    personId: person(name),
    seconds: 18,
  }));
  const menu = {
    ...newMenu(sheets.shed, 'Storage shed'),
    openingWords: 'This is the winter storage shed of Larkspur Cove Boatyard.',
    options: [
      option('1', 'to see your boat or fetch something from it', [...storage, ...message]),
      option('2', 'a place for next winter', message),
      option('0', 'the boatyard', [{ type: 'toLine', lineId: mainLine }]),
    ],
    silencePath: [...storage, ...message],
    wrongKeyPath: message,
  };
  const closed = {
    ...newAnnouncement(sheets.shedClosed, 'Shed closed'),
    words: 'The storage shed is open {week}.',
    afterPath: [{ type: 'toLine', lineId: mainLine }],
  } as const;
  return {
    schemaVersion,
    voice: 'rms',
    sheets: [menu, closed],
    paths: [],
    fallbacks: [],
    answering: {
      rules: [{ type: 'period', periodId: open, path: goTo('shed') }],
      otherwise: goTo('shedClosed'),
    },
  };
}
