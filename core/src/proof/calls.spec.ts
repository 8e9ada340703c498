import fc from 'fast-check';
import { groupId, queueId, type Person, type Queue } from '../directory';
import { runTrial } from '../exchange';
import {
  applyEdit,
  keys,
  newAnnouncement,
  newMenu,
  sheetId,
  type Attendant,
  type Menu,
  type Path,
  type Slot,
} from '../line';
import { anyScript } from '../testing/anyScript';
import {
  closedId,
  fuelId,
  launchQueue,
  moorings,
  noor,
  openMoment,
  priya,
  ringFor,
  welcomeId,
} from '../testing/boatyard';
import { cases } from '../testing/cases';
import { onKey1, ringGroup } from '../testing/flaws';
import { subjectOf } from '../testing/proofOf';
import { leaveMessage, nightHours, soundAttendant, soundSubject } from '../testing/soundOffice';
import { callsOf } from './calls';
import { proof, type Finding, type ProofSubject } from '.';

const setPath = (slot: Slot, path: Path, attendant = soundAttendant): Attendant =>
  applyEdit(attendant, { type: 'setPath', slot, path });
const silenceAt = (id: typeof closedId): Slot => ({ type: 'silence', sheetId: id });
const again: Path = [{ type: 'sayAgain' }];
const rulesIn = (attendant: Attendant, office: Partial<ProofSubject> = {}): readonly string[] =>
  proof(soundSubject(attendant, office)).map(({ rule }) => rule);
const placesOf = (rule: string, findings: readonly Finding[]) =>
  findings.filter((each) => each.rule === rule).map(({ at }) => at);

/** A menu under Welcome, reached by its key 1. */
const inner = (more: Partial<Menu> = {}): Menu => ({
  ...newMenu(sheetId.create('inner'), 'Inner'),
  openingWords: 'Please choose.',
  options: [{ key: '0', label: 'the front desk', readOut: true, path: [ringFor(noor.id, 24), ...leaveMessage] }],
  silencePath: leaveMessage,
  wrongKeyPath: leaveMessage,
  ...more,
});
const withInner = (menu: Menu, attendant = soundAttendant): Attendant =>
  applyEdit(applyEdit(attendant, { type: 'addSheet', sheet: menu }), onKey1({ type: 'goTo', sheetId: menu.id }));

describe('what the proof says of calls is what the call machine does', () => {
  it('goes round where nobody is there to be rung, at night or without a phone', () => {
    const ringsFirst = setPath(silenceAt(closedId), [ringFor(noor.id, 20), ...again]);
    expect(rulesIn(ringsFirst)).not.toContain('circle');
    const office = (changed: Partial<Person>): Partial<ProofSubject> => ({
      people: [{ ...noor, ...changed }, priya],
      allHours: [nightHours],
    });
    const closed = [{ type: 'sheet', sheetId: closedId }];
    for (const changed of [{ hoursId: nightHours.id }, { phones: [] }]) {
      expect(placesOf('circle', proof(soundSubject(ringsFirst, office(changed))))).toEqual(closed);
    }
  });

  it('goes round where a wrong key leads back to the menu past a step that is passed over', () => {
    const wrong: Slot = { type: 'wrongKey', sheetId: welcomeId };
    const gone = groupId.create('gone');
    expect(rulesIn(setPath(wrong, [ringGroup(gone), ...again]))).toContain('repeatsForEver');
    expect(rulesIn(setPath(wrong, [ringGroup(moorings.id), ...again]), { groups: [moorings] })).not.toContain(
      'repeatsForEver',
    );
  });

  it('has no wrong key where every key has a use', () => {
    const used = soundAttendant.sheets.flatMap((sheet) =>
      sheet.id === welcomeId && sheet.type === 'menu' ? sheet.options : [],
    );
    const all = keys
      .filter((key) => used.every((option) => option.key !== key))
      .reduce(
        (attendant, key) =>
          applyEdit(attendant, {
            type: 'addKey',
            sheetId: welcomeId,
            option: { key, label: `loft ${key}`, readOut: false, path: leaveMessage },
          }),
        setPath({ type: 'wrongKey', sheetId: welcomeId }, again),
      );
    expect(rulesIn(all)).not.toContain('repeatsForEver');
  });

  it('finds a way back through an announcement, a path with a name, or a key that says the first menu again', () => {
    expect(rulesIn(withInner(inner()))).toContain('noWayBack');
    const news = { ...newAnnouncement(sheetId.create('news'), 'News'), words: 'All is well.' };
    const starTo = (...path: Path) => inner({ options: [{ key: '*', label: 'back', readOut: true, path }] });
    const heard: Attendant = applyEdit(withInner(starTo({ type: 'goTo', sheetId: news.id })), {
      type: 'addSheet',
      sheet: { ...news, afterPath: [{ type: 'back' }] },
    });
    // After an announcement "back" leads to the menu it was reached from, which is this one.
    expect(rulesIn(heard)).toContain('noWayBack');
    const toFirst = applyEdit(heard, {
      type: 'setPath',
      slot: { type: 'after', sheetId: news.id },
      path: [{ type: 'goTo', sheetId: welcomeId }],
    });
    expect(rulesIn(toFirst)).not.toContain('noWayBack');
    expect(rulesIn(withInner(starTo({ type: 'back' })))).not.toContain('noWayBack');
  });

  it('rings no desk in a closed office where the queue lets callers go at once, since nobody works', () => {
    const { week, special } = soundSubject().hours;
    const shift = { ...nightHours, week, special };
    const people = [noor, { ...priya, hoursId: shift.id }];
    const queue: Queue = {
      ...launchQueue,
      id: queueId.create('shift'),
      members: [{ personId: priya.id, tier: 1 }],
      workingOnly: true,
    };
    const waits = setPath(silenceAt(closedId), [{ type: 'waitInQueue', queueId: queue.id }, ...leaveMessage]);
    const after = (reason: 'tooLong' | 'nobodyWorking') =>
      rulesIn(setPath({ type: 'queue', queueId: queue.id, reason }, [ringFor(noor.id, 20), ...leaveMessage], waits), {
        people,
        queues: [queue],
        groups: [],
        allHours: [shift],
      });
    expect(after('tooLong')).not.toContain('closedOffice');
    expect(after('nobodyWorking')).toContain('closedOffice');
  });

  it('looks at what follows in a queue that is full, or that is left by its key', () => {
    const nightly = { ...priya, hoursId: nightHours.id };
    const office = { people: [noor, nightly], queues: [launchQueue], groups: [], allHours: [nightHours] };
    const waits = applyEdit(soundAttendant, onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...leaveMessage));
    for (const reason of ['full', 'exitKey', 'tooLong'] as const) {
      const slot: Slot = { type: 'queue', queueId: launchQueue.id, reason };
      const findings = proof(soundSubject(setPath(slot, [ringFor(nightly.id, 20), ...leaveMessage], waits), office));
      expect(placesOf('nobodyWorking', findings)).toContainEqual({ type: 'path', slot, stepIndex: 0 });
    }
  });

  it('does not come to the path of a group where the step that rings it has a further one', () => {
    const nightly = { ...priya, hoursId: nightHours.id };
    const office = { people: [noor, nightly], groups: [moorings], queues: [], allHours: [nightHours] };
    const slot: Slot = { type: 'group', groupId: moorings.id };
    const own = setPath(slot, [ringFor(nightly.id, 20), ...leaveMessage]);
    const found = (...steps: Path) =>
      placesOf('nobodyWorking', proof(soundSubject(applyEdit(own, onKey1(...steps)), office)));
    const place = { type: 'path', slot, stepIndex: 0 };
    expect(found(ringGroup(moorings.id))).toContainEqual(place);
    expect(found(ringGroup(moorings.id), ...leaveMessage)).not.toContainEqual(place);
  });

  it('has no way to a person where whoever is rung while it is open works at other times only', () => {
    const people = [noor, priya].map((person) => ({ ...person, hoursId: nightHours.id }));
    expect(rulesIn(soundAttendant)).not.toContain('noWayToPerson');
    expect(rulesIn(soundAttendant, { people, groups: [], queues: [], allHours: [nightHours] })).toContain(
      'noWayToPerson',
    );
  });

  it('goes round with a sheet that no call comes to but by the switch', () => {
    const snow = inner({ silencePath: again });
    const alone = applyEdit(soundAttendant, { type: 'addSheet', sheet: snow });
    expect(placesOf('circle', proof(soundSubject(alone)))).toEqual([{ type: 'sheet', sheetId: snow.id }]);
  });

  it('expects no person behind 0 in a menu that is heard only while it is closed', () => {
    const keysOf = (sheetId: typeof closedId): Attendant =>
      (['4', '5'] as const).reduce(
        (all, key) =>
          applyEdit(all, {
            type: 'addKey',
            sheetId,
            option: { key, label: `loft ${key}`, readOut: true, path: leaveMessage },
          }),
        applyEdit(soundAttendant, { type: 'removeKey', sheetId: welcomeId, key: '0' }),
      );
    const menus = (attendant: Attendant) => placesOf('zeroUnused', proof(soundSubject(attendant)));
    expect(menus(keysOf(closedId))).toEqual([{ type: 'sheet', sheetId: welcomeId }]);
    const toClosed = applyEdit(keysOf(closedId), onKey1({ type: 'goTo', sheetId: closedId }));
    expect(menus(toClosed)).toContainEqual({ type: 'sheet', sheetId: closedId });
  });

  it('counts the menus on the way to each, the shortest way', () => {
    const { answered } = callsOf(soundSubject(withInner(inner({ options: [] }))));
    const levels = new Map(
      answered.flatMap(({ reach }) => [...reach.menus.values()].map(({ sheetId: id, level }) => [id, level] as const)),
    );
    expect([levels.get(welcomeId), levels.get(inner().id), levels.get(fuelId)]).toEqual([1, 2, undefined]);
  });

  it('is reckoned again when a path or the directory changes, and not when words do', () => {
    const subject = soundSubject(soundAttendant);
    const words = (to: string): Attendant =>
      applyEdit(soundAttendant, { type: 'setWords', sheetId: closedId, part: 'openingWords', words: to });
    const label = applyEdit(soundAttendant, {
      type: 'setOption',
      sheetId: welcomeId,
      key: '1',
      option: { label: 'the moorings' },
    });
    const calls = callsOf(subject);
    expect(callsOf({ ...subject, attendant: words('We are closed today.') })).toBe(calls);
    expect(callsOf({ ...subject, attendant: label })).toBe(calls);
    expect(callsOf({ ...subject, people: [...subject.people] })).not.toBe(calls);
    expect(callsOf({ ...subject, attendant: setPath(silenceAt(closedId), again) })).not.toBe(calls);
  });

  it('finds every circle in which a caller who presses nothing ends', () => {
    let ended = 0;
    fc.assert(
      fc.property(anyScript, (any) => {
        const { transcript } = runTrial(any, {
          ...{ atMs: openMoment, callerNumber: '', caller: [] },
          staff: () => ({ type: 'noAnswer' }),
        });
        const last = transcript.at(-1);
        const isRung = transcript.some(({ type }) => ['ringing', 'ringingGroup', 'queued'].includes(type));
        if (last?.type !== 'ended' || last.reason !== 'circle' || isRung) return;
        ended += 1;
        const found = proof(subjectOf(any)).map(({ rule }) => rule);
        expect(found.some((rule) => ['circle', 'pathInItself', 'lineCircle'].includes(rule))).toBe(true);
      }),
      cases(1500),
    );
    expect(ended).toBeGreaterThan(5);
  });
});
