import { boxId, personId, type Box, type Person } from '../directory';
import { hoursId, instantOf, periodId, type Hours, type Weekday } from '../hours';
import { newAnnouncement, newMenu, schemaVersion, sheetId, type Attendant, type Option } from '../line';
import type { CallScript } from '../call';

/** A small boatyard for the specs: a welcome by day, a closed menu otherwise. */
export const zone = 'America/New_York';
export const noor: Person = { id: personId.create('noor'), name: 'Noor Haldane', extension: '212' };
export const priya: Person = { id: personId.create('priya'), name: 'Priya Castellanos', extension: '204' };
export const office: Box = { id: boxId.create('office'), name: 'Office', greetingId: null, longestMessageSeconds: 60 };
export const open = { id: periodId.create('open'), name: 'Open' };
export const lunch = { id: periodId.create('lunch'), name: 'Lunch' };
export const welcomeId = sheetId.create('welcome');
export const closedId = sheetId.create('closed');
export const fuelId = sheetId.create('fuel');

const workdays: readonly Weekday[] = [1, 2, 3, 4, 5];

export const hours: Hours = {
  id: hoursId.create('main'),
  name: 'Business hours',
  periods: [open, lunch],
  week: workdays.map((day) => ({ periodId: open.id, day, startMin: 480, endMin: 1050 })),
};

const message = [{ type: 'takeMessage', boxId: office.id }] as const;

const welcomeOptions: readonly Option[] = [
  {
    key: '1',
    label: 'moorings',
    readOut: true,
    path: [{ type: 'ring', personId: priya.id, seconds: 24 }, ...message],
  },
  { key: '2', label: 'the fuel dock', readOut: true, path: [{ type: 'goTo', sheetId: fuelId }] },
  { key: '9', label: 'to hear this again', readOut: true, path: [{ type: 'sayAgain' }] },
  { key: '#', label: 'nothing', readOut: false, path: [{ type: 'hangUp', words: 'Goodbye.' }] },
];

export const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [
    {
      ...newMenu(welcomeId, 'Welcome'),
      openingWords: 'Thank you for calling the boatyard.',
      options: welcomeOptions,
      closingWords: 'Or stay on the line.',
      silencePath: [{ type: 'ring', personId: noor.id, seconds: 18 }, ...message],
      wrongKeyPath: message,
    },
    {
      ...newAnnouncement(fuelId, 'Fuel dock'),
      words: 'The fuel dock opens at eight.',
      afterPath: [{ type: 'goTo', sheetId: welcomeId }],
    },
    {
      ...newMenu(closedId, 'After hours'),
      openingWords: 'We are closed.',
      silentRounds: 1,
      silencePath: message,
      wrongKeyPath: message,
    },
  ],
  answering: {
    rules: [{ periodId: open.id, path: [{ type: 'goTo', sheetId: welcomeId }] }],
    otherwise: [{ type: 'goTo', sheetId: closedId }],
  },
};

export const script: CallScript = {
  attendant,
  timeZone: zone,
  hours,
  people: [noor, priya],
  boxes: [office],
  greetings: [],
};

export const names = Object.fromEntries([noor, priya, office, open, lunch].map(({ id, name }) => [id, name]));

/** A Monday morning, when the line is open. */
export const openMoment = instantOf('2026-11-23T10:00', zone);
/** The Sunday before it. */
export const closedMoment = instantOf('2026-11-22T10:00', zone);

/** Freezes something with all that is in it, so that a function that changes what it is given fails at once. */
export function frozen<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}
