import {
  boxDefaults,
  boxId,
  groupDefaults,
  groupId,
  personDefaults,
  personId,
  usualOutgoing,
  type Box,
  type Group,
  type Person,
} from '../directory';
import { closedAllDay, hoursId, periodId, specialDateId, type Hours, type TimeZone } from '../hours';
import {
  lineId,
  menuWords,
  messageDefaults,
  newAnnouncement,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
  type Key,
  type Language,
  type Menu,
  type Path,
  type VoiceId,
} from '../line';
import type { ProofSubject } from '../proof';

/** A business that has nothing to find: a menu by day, one at night, an announcement, a group, two people and a box. */
export interface Business {
  readonly name: string;
  readonly subject: ProofSubject;
}

export const welcomeId = sheetId.create('welcome');
export const nightId = sheetId.create('night');
export const infoId = sheetId.create('info');
export const frontId = personId.create('front');
export const secondId = personId.create('second');
export const teamId = groupId.create('team');
export const officeBox = boxId.create('office');

interface About {
  readonly name: string;
  readonly number: string;
  readonly zone: TimeZone;
  readonly voice: VoiceId;
  readonly language: Language;
  readonly people: readonly [string, string];
  /** The days on which it is open, and the minutes from and to which it is. */
  readonly days: readonly (1 | 2 | 3 | 4 | 5 | 6 | 7)[];
  readonly fromMin: number;
  readonly toMin: number;
  readonly says: {
    readonly welcome: string;
    readonly team: string;
    readonly info: string;
    readonly person: string;
    readonly night: string;
    readonly urgent: string;
    readonly infoWords: string;
  };
}

export const message: Path = [{ type: 'takeMessage', boxId: officeBox, ...messageDefaults }];
export const ringFront: Path[number] = { ...ringDefaults, type: 'ring', personId: frontId, seconds: 24 };
const ringTeam: Path[number] = { ...ringDefaults, type: 'ringGroup', groupId: teamId, seconds: null };

function business({ name, number, zone, voice, language, people, days, fromMin, toMin, says }: About): Business {
  const open = { id: periodId.create('open'), name: 'Open' };
  const hours: Hours = {
    id: hoursId.create('main'),
    name: 'Hours',
    periods: [open],
    week: days.map((day) => ({ periodId: open.id, day, startMin: fromMin, endMin: toMin })),
    datedWeeks: [],
    seasons: [],
    special: [
      {
        id: specialDateId.create('newYear'),
        name: 'New Year',
        when: { type: 'yearly', month: 1, day: 1, days: 1 },
        moved: 'stays',
        hours: closedAllDay,
        words: '',
      },
    ],
  };
  const staff: readonly Person[] = people.map((each, index) => ({
    ...personDefaults,
    phones: [...personDefaults.phones],
    id: index === 0 ? frontId : secondId,
    name: each,
    extension: `70${index + 1}`,
  }));
  const group: Group = {
    ...groupDefaults,
    id: teamId,
    name: 'Team',
    extension: '710',
    members: staff.map(({ id }) => ({ personId: id, tier: 1 })),
  };
  const box: Box = { ...boxDefaults, id: officeBox, name: 'Office', ownerId: frontId };
  const option = (key: Key, label: string, path: Path): Menu['options'][number] => ({
    key,
    label,
    readOut: true,
    path,
  });
  const welcome: Menu = {
    ...{ ...newMenu(welcomeId, 'Welcome'), ...menuWords[language] },
    openingWords: says.welcome,
    options: [
      option('1', says.team, [ringTeam, ...message]),
      option('2', says.info, [{ type: 'goTo', sheetId: infoId }]),
      option('0', says.person, [ringFront, ...message]),
    ],
    silencePath: [ringFront, ...message],
    wrongKeyPath: [ringFront, ...message],
  };
  const night: Menu = {
    ...{ ...newMenu(nightId, 'Night'), ...menuWords[language] },
    openingWords: `${says.night} ${says.urgent}`,
    options: [option('2', says.info, [{ type: 'goTo', sheetId: infoId }])],
    silencePath: message,
    wrongKeyPath: message,
  };
  const attendant: Attendant = {
    schemaVersion,
    voice,
    sheets: [
      welcome,
      night,
      { ...newAnnouncement(infoId, 'Info'), words: says.infoWords, afterPath: [{ type: 'back' }] },
    ],
    paths: [],
    answering: {
      rules: [{ type: 'period', periodId: open.id, path: [{ type: 'goTo', sheetId: welcomeId }] }],
      otherwise: [{ type: 'goTo', sheetId: nightId }],
    },
    fallbacks: [],
  };
  const id = lineId.create('main');
  const line = {
    id,
    name,
    number,
    timeZone: zone,
    operatorId: frontId,
    hoursId: hours.id,
    emergencyAddress: '1 High Street',
  };
  const service = { serviceFrom: null, serviceUntil: null };
  return {
    name,
    subject: {
      attendant,
      line: { ...line, ...service },
      today: '2026-11-23',
      hours,
      allHours: [hours],
      people: staff,
      groups: [group],
      queues: [],
      boxes: [box],
      contacts: [],
      callerLists: [],
      outgoing: usualOutgoing,
      greetings: [],
      takes: [],
      leavers: [],
      lines: [{ id, name, number, ...service, onAir: attendant }],
    },
  };
}

/** A dental practice in Berlin. */
export const dentists = business({
  name: 'Zahnarztpraxis Lindenhof',
  number: '+493023125012',
  zone: 'Europe/Berlin',
  voice: 'deWoman',
  language: 'de',
  people: ['Ayla Brandt', 'Jonas Wirth'],
  days: [1, 2, 3, 4, 5],
  fromMin: 480,
  toMin: 1050,
  says: {
    welcome: 'Willkommen bei der Zahnarztpraxis Lindenhof.',
    team: 'einen Termin',
    info: 'unsere Adresse',
    person: 'die Anmeldung',
    night: 'Unsere Praxis ist geschlossen.',
    urgent: 'Im Notfall wählen Sie die 112.',
    infoWords: 'Sie finden uns am Lindenhof drei, im ersten Stock.',
  },
});

/** A lettings agency in London. */
export const lettings = business({
  name: 'Marlow Lettings',
  number: '+442079460321',
  zone: 'Europe/London',
  voice: 'awb',
  language: 'en',
  people: ['Imran Sholto', 'Bea Carrick'],
  days: [1, 2, 3, 4, 5, 6],
  fromMin: 540,
  toMin: 1020,
  says: {
    welcome: 'Welcome to Marlow Lettings.',
    team: 'repairs',
    info: 'where to find us',
    person: 'the front desk',
    night: 'Our office is closed.',
    urgent: 'If water is coming through the ceiling, or for any other emergency, call 999.',
    infoWords: 'You will find us beside the bridge, above the bakery.',
  },
});

/** A bookkeeper in Lyon. */
export const bookkeepers = business({
  name: 'Cabinet Valmont',
  number: '+33465710812',
  zone: 'Europe/Paris',
  voice: 'frWoman',
  language: 'fr',
  people: ['Solène Audry', 'Marius Kessel'],
  days: [1, 2, 3, 4],
  fromMin: 540,
  toMin: 1080,
  says: {
    welcome: 'Bienvenue au cabinet Valmont.',
    team: 'la paie',
    info: 'notre adresse',
    person: 'l’accueil',
    night: 'Le cabinet est fermé.',
    urgent: 'Laissez un message après le signal.',
    infoWords: 'Vous nous trouvez au fond de la cour, au deuxième étage.',
  },
});
