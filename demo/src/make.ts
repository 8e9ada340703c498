import { joinPcm, phoneRateHz, writeWav } from '@locutor/core/audio';
import { outcomeOf, spokenFacts, type CallScript } from '@locutor/core/call';
import type { Box, CallerList, Contact, Group, Person, Queue, Tell } from '@locutor/core/directory';
import {
  instantOf,
  periodId,
  showDate,
  wallTime,
  weekdayOf,
  weekdays,
  type Hours,
  type TimeZone,
  type WeekSpan,
} from '@locutor/core/hours';
import type { Attendant, Greeting, Line } from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import { startServer } from '@locutor/server/app';
import { CallLog } from '@locutor/server/callLog/callLog.service';
import { CallCounting } from '@locutor/server/callLog/callCounting.service';
import { DataSource } from 'typeorm';
import { asker, type Ask } from './api';
import { answeredByOf, makeCalls } from './calls';
import { bodyOf, boxCodes, groups, launchLine } from './groups';
import { boxNames, callerLists, contacts, emailOf, mobiles, staff, type BoxName, type StaffName } from './people';
import { shedFrom, specialDates, summerOf } from './hours';
import { recordSheets } from './recordings';
import { earlierAttendant, putOnAir, rehearse, saveDraft } from './airing';
import { budget, ratesOf } from './rates';
import { soundOf } from './sounds';
import { boatyardAttendant, sheets, shedAttendant, type Cast } from './script';

const zone: TimeZone = 'America/New_York';

/** Makes the boatyard in an empty data folder, through the API that the application itself uses. */
export async function makeDemo(dataDir: string): Promise<void> {
  const { app, stop, url } = await startServer({ dataDir, webDir: null, port: 0 });
  try {
    const ask = asker(url);
    await fill(ask, url);
    const aired = await airLongAgo(ask, app.get(DataSource));
    await logCalls(ask, app.get(CallLog), aired);
    await app.get(CallCounting).count(false);
  } finally {
    await stop();
  }
}

/** When the versions went on air, in days before today; the second one in spring. */
const firstAiredDays = 400;

/** Puts back when versions went on air: long ago, and for the one with the shorter welcome, in spring. */
async function airLongAgo(ask: Ask, database: DataSource): Promise<readonly AiredAt[]> {
  const aired: AiredAt[] = [];
  for (const { id } of await ask<Line[]>('GET', '/api/lines')) {
    const versions = await ask<{ id: string; number: number }[]>('GET', `/api/lines/${id}/versions`);
    const inOrder = [...versions].sort((one, other) => one.number - other.number);
    for (const [index, version] of inOrder.entries()) {
      const at = index === 0 ? Date.now() - firstAiredDays * 86_400_000 : lastSpring();
      await database.query('UPDATE "airing" SET "at" = ? WHERE "versionId" = ?', [at, version.id]);
      await database.query('UPDATE "version" SET "onAirAt" = ? WHERE "id" = ?', [at, version.id]);
      aired.push({ lineId: id, versionId: version.id, at });
    }
  }
  return aired;
}

interface AiredAt {
  readonly lineId: Line['id'];
  readonly versionId: string;
  readonly at: number;
}

/** The last 20 April that is over, in the morning. */
function lastSpring(): number {
  const year = new Date().getFullYear();
  const at = (of: number): number => instantOf(`${of}-04-20T07:00`, zone);
  return at(year) < Date.now() ? at(year) : at(year - 1);
}

const loggedDays = 365;
/** Of the callers of the long welcome more hung up in it than of the shorter one. */
const hangUps = { before: 0.18, since: 0.08 } as const;

/** The call log of the last year, each call under what was on air on its day. */
async function logCalls(ask: Ask, log: CallLog, aired: readonly AiredAt[]): Promise<void> {
  for (const line of await ask<Line[]>('GET', '/api/lines')) {
    const script = await ask<CallScript>('GET', `/api/lines/${line.id}/script?of=onAir`);
    const versions = aired.filter(({ lineId }) => lineId === line.id);
    const scripts = new Map<string, CallScript>();
    for (const { versionId } of versions) {
      const { attendant } = await ask<{ attendant: Attendant }>('GET', `/api/lines/${line.id}/versions/${versionId}`);
      const lines = script.lines.map((each) => (each.id === line.id ? { ...each, attendant } : each));
      scripts.set(versionId, { ...script, lines });
    }
    const versionOn = (atMs: number): string | undefined => versions.findLast(({ at }) => at <= atMs)?.versionId;
    const noonOf = (day: string): number => instantOf(`${day}T12:00`, zone);
    const isMain = line.name === 'Larkspur Cove Boatyard';
    const calls = makeCalls({
      scriptOn: (day) => scripts.get(versionOn(noonOf(day)) ?? '') ?? script,
      hangUpsOn: (day) => (isMain && noonOf(day) < lastSpring() ? hangUps.before : hangUps.since),
      ...{ timeZone: zone, beforeMs: Date.now(), days: loggedDays },
      ...{ name: isMain ? 'main' : 'shed', share: isMain ? 1 : 0.1 },
    });
    for (const { id, callerNumber, startedAt, transcript } of calls) {
      log.put({
        id,
        lineId: line.id,
        versionId: (versionOn(startedAt) ?? null) as never,
        callerNumber,
        staffCaller: null,
        startedAt,
        endedAt: transcript.at(-1)?.atMs ?? startedAt,
        pretended: false,
        outcome: outcomeOf(transcript),
        answeredBy: answeredByOf(transcript),
        transcript: [...transcript],
        messageId: null,
        recordingId: null,
        recordingMs: 0,
      });
    }
    await log.write();
  }
}

async function fill(ask: Ask, url: string): Promise<void> {
  const line = await ask<Line>('POST', '/api/start', {
    name: 'Larkspur Cove Boatyard',
    number: '+1 207 555 0140',
    timeZone: 'America/New_York',
    openDays: [1, 2, 3, 4, 5],
    opensMin: 450,
    closesMin: 1020,
    people: staff.slice(0, 2),
    emergencyAddress: '1 Cannery Road, Larkspur Cove, Maine',
  });
  for (const person of staff.slice(2)) await ask('POST', '/api/people', person);
  await completePeople(ask);
  for (const contact of contacts) await ask('POST', '/api/contacts', contact);
  for (const list of callerLists) await ask('POST', '/api/caller-lists', list);
  const cast = await castOf(ask, line);
  const draft = await ask<{ revision: number }>('GET', `/api/lines/${line.id}/draft`);
  const script = await ask<CallScript>('GET', `/api/lines/${line.id}/script`);
  const facts = spokenFacts(script, script.lines[0] as CallScript['lines'][number], Date.now());
  const attendant = await recordSheets(ask, url, line, boatyardAttendant(cast), facts);
  const earlier = await saveDraft(ask, line, draft.revision, earlierAttendant(attendant));
  await putOnAir(ask, line, earlier, 'Odile Farnsworth', 'The first attendant');
  const revision = await saveDraft(ask, line, earlier, attendant);
  await putOnAir(ask, line, revision, 'Tamsin Okafor', 'French welcome, and where we are');
  await addShed(ask, cast, line);
  await rehearse(ask, line);
  await beginSession(ask, line);
  await setCost(ask, cast);
  await speakAhead(ask, line.id);
  for (const message of messages) await leaveMessage(ask, url, cast, message);
}

/** What calls cost and may cost, and who gets a report each week. */
async function setCost(ask: Ask, cast: Cast): Promise<void> {
  const { revision } = await ask<{ revision: number }>('GET', '/api/settings');
  const today = wallTime(zone, Date.now()).day;
  const tell = [cast.person('Tamsin Okafor')];
  const report = { every: 'week', lineId: null, tell };
  await ask('PATCH', '/api/settings', { revision, rates: ratesOf(today), budget: { ...budget, tell }, report });
}

/** Callers who want somebody reach the front desk. */
async function nameOperator(ask: Ask, { id }: Line, { id: operatorId }: Group): Promise<void> {
  const lines = await ask<(Line & { revision: number })[]>('GET', '/api/lines');
  const revision = lines.find((line) => line.id === id)?.revision;
  await ask('PATCH', `/api/lines/${id}`, { revision, operatorId });
}

async function castOf(ask: Ask, line: Line): Promise<Cast> {
  const people = await ask<Person[]>('GET', '/api/people');
  const moorings = await ask<Greeting>('POST', '/api/greetings', {
    name: 'Moorings box',
    voice: 'slt',
    words: 'This is the mooring field of Larkspur Cove. Please leave your boat’s name and your number after the tone.',
  });
  for (const name of boxNames) {
    const greetingId = name === 'Moorings' ? moorings.id : null;
    await ask('POST', '/api/boxes', { name, greetingId, tell: tellOf(name, people) });
  }
  const hours = await setHours(ask, line);
  const boxes = await ask<Box[]>('GET', '/api/boxes');
  for (const [name, { code, pin }] of Object.entries(boxCodes)) {
    const { id, revision } = named(boxes, name) as Box & { revision: number };
    await ask('PATCH', `/api/boxes/${id}`, { revision, code, pin, ownerId: null });
  }
  const person = (name: StaffName): Person['id'] => named(people, name).id;
  const made: Group[] = [];
  for (const group of groups) made.push(await ask<Group>('POST', '/api/groups', bodyOf(group, person)));
  await nameOperator(ask, line, named(made, 'Front desk'));
  const queue = await ask<Queue>('POST', '/api/queues', bodyOf(launchLine, person));
  const outside = await ask<Contact[]>('GET', '/api/contacts');
  const lists = await ask<CallerList[]>('GET', '/api/caller-lists');
  return {
    person,
    group: (name) => named(made, name).id,
    launchLine: queue.id,
    box: (name) => named(boxes, name).id,
    period: (name) => named(hours.periods, name).id,
    contact: (name) => named(outside, name).id,
    callers: (name) => named(lists, name).id,
    dock: named(await ask<Hours[]>('GET', '/api/hours'), fuelDockHours.name).id,
  };
}

/** Everybody's e-mail; a mobile after the desk for those who walk the yard; and who is only there in summer. */
async function completePeople(ask: Ask): Promise<void> {
  const people = await ask<(Person & { revision: number })[]>('GET', '/api/people');
  const dock = await ask<Hours>('POST', '/api/hours', fuelDockHours);
  const yard = await ask<Hours>('POST', '/api/hours', yardHours);
  for (const { id, name, extension, revision } of people) {
    const mobile = mobiles[extension] ?? '';
    const desk = { type: 'desk', seconds: 12 };
    const phones = mobile ? [desk, { type: 'outside', number: mobile, seconds: 20, accept: true }] : [desk];
    const hoursId = name === 'Tobias Ferreira' ? dock.id : weekdaysOnly.includes(name) ? yard.id : null;
    const saidAs = name === 'Wendell Achterberg' ? 'Wendell Ackter-berg' : '';
    const inDirectory = name !== 'Odile Farnsworth';
    await ask('PATCH', `/api/people/${id}`, {
      revision,
      email: emailOf(name),
      mobile,
      phones,
      hoursId,
      saidAs,
      inDirectory,
    });
  }
}

const dockOpen = { id: periodId.create('dockOpen'), name: 'Fuel dock open' };
const fuelDockHours = {
  name: 'Fuel dock',
  periods: [dockOpen],
  week: weekdays.map((day) => ({ periodId: dockOpen.id, day, startMin: 480, endMin: 1020 })),
};

/** On Saturdays Wendell alone minds the moorings and the launches. */
const weekdaysOnly: readonly string[] = [
  ...['Priya Castellanos', 'Bram Lindqvist', 'Mateo O’Dowd', 'Ingrid Vasquez-Thorne', 'Cormac Adeyemi'],
];
const yardAtWork = { id: periodId.create('yardAtWork'), name: 'At work' };
const yardHours = {
  name: 'Yard, weekdays',
  periods: [yardAtWork],
  week: weekdays.slice(0, 5).map((day) => ({ periodId: yardAtWork.id, day, startMin: 420, endMin: 1050 })),
};

function tellOf(name: BoxName, people: readonly Person[]): readonly Tell[] {
  const told: Partial<Record<BoxName, string>> = {
    Moorings: 'Priya Castellanos',
    Parts: 'Juno Marchetti',
    Yard: 'Bram Lindqvist',
    Accounts: 'Hana Zielinska',
  };
  const who = told[name];
  if (!who) return [];
  return [{ personId: named(people, who).id, by: name === 'Yard' ? 'emailWithAudio' : 'email' }];
}

/** The Monday so many weeks ahead, as in ISO 8601. */
function inWeeks(weeks: number): string {
  const today = wallTime(zone, Date.now()).day;
  return showDate(today - (weekdayOf(today) - 1) + 7 * weeks);
}

/** The texts of the closed menu, to be recorded one after the other. */
async function beginSession(ask: Ask, line: Line): Promise<void> {
  const parts = ['openingWords', 'option 1', 'option 2', 'option 3', 'closingWords'];
  const places = parts.map((part) => `${line.id} ${sheets.afterHours} ${part}`);
  await ask('POST', '/api/recording-sessions', { name: 'After hours', places });
}

/** The second line, on which other hours hold. */
async function addShed(ask: Ask, cast: Cast, main: Line): Promise<void> {
  const shed = await ask<Line>('POST', '/api/lines', {
    name: 'Storage shed',
    number: '+1 207 555 0155',
    timeZone: 'America/New_York',
    emergencyAddress: '12 Ferry Landing, Larkspur Cove, Maine',
  });
  const path = `/api/hours/${shed.hoursId}`;
  const { periods, revision } = await ask<Hours & { revision: number }>('GET', path);
  const open = named(periods, 'Open').id;
  const week = [2, 4, 6].map((day) => ({ periodId: open, day, startMin: 540, endMin: day === 6 ? 720 : 960 }));
  await ask('PUT', path, { revision, periods, week, datedWeeks: [shedFrom(open, inWeeks(3))] });
  const attendant = shedAttendant(cast, open, main.id);
  const saved = await saveDraft(ask, shed, 1, attendant);
  await putOnAir(ask, shed, saved, 'Lucienne Abara', 'The shed answers by itself');
  await speakAhead(ask, shed.id);
}

/** Winter hours: weekdays with a lunch break at the front desk, and Saturday mornings. */
async function setHours(ask: Ask, line: Line): Promise<Hours> {
  const path = `/api/hours/${line.hoursId}`;
  const { periods, revision } = await ask<Hours & { revision: number }>('GET', path);
  const open = named(periods, 'Open').id;
  const lunch = { id: periodId.create('lunch'), name: 'Lunch' };
  const week: WeekSpan[] = weekdays.slice(0, 5).flatMap((day) => [
    { periodId: open, day, startMin: 450, endMin: 1020 },
    { periodId: lunch.id, day, startMin: 720, endMin: 750 },
  ]);
  week.push({ periodId: open, day: 6, startMin: 480, endMin: 720 });
  const seasons = [summerOf(open)];
  return ask<Hours>('PUT', path, {
    revision,
    periods: [...periods, lunch],
    week,
    seasons,
    special: specialDates(open),
  });
}

/** Has the whole script of a line spoken, so that the first call is heard without a wait. */
async function speakAhead(ask: Ask, lineId: Line['id']): Promise<void> {
  const script = await ask<CallScript>('GET', `/api/lines/${lineId}/script`);
  for (const line of script.lines.filter(({ id }) => id === lineId)) {
    const { sheets, voice: ofScript } = line.attendant;
    for (const sheet of sheets) {
      const sentences = sheetSentences(sheet, ofScript, spokenFacts(script, line, Date.now()));
      const texts = sentences.filter(({ recorded }) => !recorded).map(({ text }) => text);
      if (texts.length > 0) await ask('POST', '/api/speech', { voice: sheet.voice ?? ofScript, texts });
    }
  }
}

interface DemoMessage {
  readonly box: BoxName;
  readonly callerNumber: string;
  readonly voice: 'rms' | 'awb';
  readonly texts: readonly string[];
}

const messages: readonly DemoMessage[] = [
  {
    box: 'Moorings',
    callerNumber: '+1 207 555 0162',
    voice: 'rms',
    texts: ['Hello, this is the sloop Marigold.', 'Could I have my mooring again from the first of May?', 'Thank you.'],
  },
  {
    box: 'Yard',
    callerNumber: '+1 207 555 0117',
    voice: 'awb',
    texts: ['The engine of the Kittiwake will not turn over.', 'Please call me before noon.'],
  },
  {
    box: 'Office',
    callerNumber: 'anonymous',
    voice: 'rms',
    texts: ['Do you have winter storage left for a boat of thirty feet?'],
  },
];

async function leaveMessage(ask: Ask, url: string, cast: Cast, message: DemoMessage): Promise<void> {
  const { voice, texts, callerNumber, box } = message;
  const spoken = await ask<{ audioId: string }[]>('POST', '/api/speech', { voice, texts });
  const pieces = await Promise.all(spoken.map(({ audioId }) => soundOf(url, audioId)));
  const pause = { samples: new Float32Array(phoneRateHz / 2), rateHz: phoneRateHz };
  const whole = joinPcm(
    pieces.flatMap((piece) => [piece, pause]),
    phoneRateHz,
  );
  const form = new FormData();
  form.set('callerNumber', callerNumber);
  form.set('trial', 'false');
  form.set('audio', new Blob([writeWav(whole) as Uint8Array<ArrayBuffer>]), 'message.wav');
  await ask('POST', `/api/boxes/${cast.box(box)}/messages`, form);
}

function named<Item extends { readonly name: string }>(items: readonly Item[], name: string): Item {
  const found = items.find((item) => item.name === name);
  if (!found) throw new Error(`There is no ${name} in the demo`);
  return found;
}
