import fc from 'fast-check';
import {
  attendant,
  closedId,
  frontDeskPath,
  fuelId,
  harbourMaster,
  launchQueue,
  line,
  message,
  moorings,
  names,
  noor,
  openMoment,
  priya,
  ringFor,
  script,
  slipHolders,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import { proofOf } from '../testing/proofOf';
import { anyScript } from '../testing/anyScript';
import { runTrial, type StaffAct } from '../exchange';
import { groupId, queueId, queueReasons, type Group, type Queue } from '../directory';
import { applyEdit, keys, ringDefaults, type Attendant, type Edit, type Path } from '../line';
import { adviseOn, describeFinding, faultsIn, type RuleName } from '.';
import { rules } from './rules';

const read = (edited: Attendant) =>
  proofOf(
    withAttendant(edited, {
      ...script,
      contacts: [{ ...harbourMaster, serviceUntil: '2026-11-22' }],
      groups: [moorings, emptyGroup],
      queues: [launchQueue, slowQueue, closedQueue],
    }),
  );
const key1 = { type: 'key', sheetId: welcomeId, key: '1' } as const;
const onKey1 = (...path: Path): Edit => ({ type: 'setPath', slot: key1, path });
const outside = (number: string, seconds = 18): Path[number] => ({
  ...ringDefaults,
  type: 'ringOutside',
  to: { type: 'number', number },
  accept: false,
  seconds,
});

const ringGroup = (groupId: Group['id']): Path[number] => ({
  ...ringDefaults,
  type: 'ringGroup',
  groupId,
  seconds: null,
});
const emptyGroup: Group = { ...moorings, id: groupId.create('empty'), members: [] };
const slowQueue: Queue = { ...launchQueue, id: queueId.create('slow'), longestWaitSeconds: 300 };
const closedQueue: Queue = { ...launchQueue, id: queueId.create('closed'), exitKey: null };

const flaws: Readonly<Record<RuleName, readonly [Edit, string]>> = {
  pathEmpty: [
    { type: 'addKey', sheetId: welcomeId, option: { key: '4', label: 'parts', readOut: true, path: [] } },
    'Key 4 of Welcome leads nowhere.',
  ],
  pathStops: [
    {
      type: 'setPath',
      slot: { type: 'key', sheetId: welcomeId, key: '1' },
      path: [ringFor(priya.id, 24)],
    },
    'Key 1 of Welcome stops: if nobody picks up, the caller is cut off.',
  ],
  toDeleted: [{ type: 'removeSheet', sheetId: fuelId }, 'Key 2 of Welcome leads to something that was deleted.'],
  noFallback: [
    { type: 'setPath', slot: { type: 'silence', sheetId: welcomeId }, path: [] },
    'The silence path of Welcome is missing: a caller who presses nothing reaches nobody.',
  ],
  noWords: [
    { type: 'setWords', sheetId: closedId, part: 'openingWords', words: ' … ' },
    'After hours says nothing: the caller hears silence.',
  ],
  circle: [
    { type: 'setPath', slot: { type: 'silence', sheetId: closedId }, path: [{ type: 'sayAgain' }] },
    'After hours comes round to itself: a caller who presses nothing never gets out.',
  ],
  pathInItself: [
    {
      type: 'addNamedPath',
      path: { id: frontDeskPath, name: 'Front desk', steps: [{ type: 'followPath', pathId: frontDeskPath }] },
    },
    'The path Front desk follows itself and never ends.',
  ],
  notANumber: [onKey1(outside('soon'), ...message), 'Key 1 of Welcome calls something that is not a telephone number.'],
  ownNumber: [onKey1(outside('207 555 0140'), ...message), 'Key 1 of Welcome calls this line’s own number.'],
  outOfService: [
    onKey1({ type: 'handOver', to: { type: 'contact', contactId: harbourMaster.id }, before: '' }),
    'Key 1 of Welcome calls a number that is not in service today.',
  ],
  ringsForEver: [
    onKey1(ringFor(priya.id, null)),
    'Key 1 of Welcome rings with no limit: no step after that can ever run.',
  ],
  ownVoicemail: [
    onKey1(outside('+12075550161', 30), ...message),
    'Key 1 of Welcome rings an outside phone so long that its own voicemail may answer.',
  ],
  keyIsFirstDigit: [
    { type: 'setMenuSettings', sheetId: welcomeId, settings: { extensions: { waitSeconds: 4 } } },
    'Key 2 of Welcome is also the first digit of extensions: who presses it waits 4 s.',
  ],
  nobodyThere: [
    onKey1(ringGroup(emptyGroup.id), ...message),
    'Key 1 of Welcome leads to a group or queue with nobody in it.',
  ],
  longWait: [
    onKey1({ type: 'waitInQueue', queueId: slowQueue.id }, ...message),
    'Key 1 of Welcome lets callers wait longer than four minutes.',
  ],
  noWayOut: [
    onKey1({ type: 'waitInQueue', queueId: closedQueue.id }, ...message),
    'Key 1 of Welcome leads to a queue that callers can leave only by hanging up.',
  ],
  recordsUntold: [
    onKey1({ type: 'record', on: true, tells: false }, ...message),
    'Key 1 of Welcome records the call without telling the caller.',
  ],
};

describe('the proof', () => {
  it('finds nothing in a sound attendant', () => expect(read(attendant)).toEqual([]));

  it.each(rules.map((rule) => rule.name))('finds one fault, and only that, by the rule %s', (name) => {
    const [edit, says] = flaws[name];
    const edited = applyEdit(attendant, edit);
    const findings = read(edited);
    expect(findings.map(({ rule }) => rule)).toEqual([name]);
    expect(findings.map((finding) => describeFinding(finding, edited, names))).toEqual([says]);
    expect(findings.every((finding) => adviseOn(finding).length > 0)).toBe(true);
  });

  it('finds every fault of several', () => {
    const several: readonly RuleName[] = ['pathEmpty', 'pathStops', 'noFallback', 'pathInItself', 'keyIsFirstDigit'];
    const edited = several.reduce((all, name) => applyEdit(all, flaws[name][0]), attendant);
    const findings = read(edited);
    expect(new Set(findings.map(({ rule }) => rule))).toEqual(new Set(several));
    expect(faultsIn(findings)).toHaveLength(findings.length - 1);
  });

  it('finds a person who has left, and callers whose list was deleted', () => {
    const rule = { type: 'callers', callerListId: slipHolders.id, path: message } as const;
    const edited = withAttendant(applyEdit(attendant, { type: 'addRule', rule }), { ...script, people: [noor] });
    expect(proofOf(edited)).toEqual([
      {
        rule: 'toDeleted',
        grade: 'fault',
        at: { type: 'path', slot: { type: 'callers', callerListId: slipHolders.id }, stepIndex: null },
      },
      { rule: 'toDeleted', grade: 'fault', at: { type: 'path', slot: key1, stepIndex: 0 } },
    ]);
    expect(proofOf(edited, { people: [noor, priya], callerLists: [slipHolders] })).toEqual([]);
  });

  it('mends a key that is the first digit of extensions by moving it to one that is not', () => {
    const [edit] = flaws.keyIsFirstDigit;
    const edited = applyEdit(attendant, edit);
    const [finding] = read(edited);
    // Extensions begin with 2 and 3.
    expect(finding?.fix).toEqual({ type: 'moveKey', sheetId: welcomeId, from: '2', to: '4' });
    expect(finding?.fix && read(applyEdit(edited, finding.fix))).toEqual([]);
  });

  it('sees a circle through announcements and named paths, but none where somebody is rung on the way', () => {
    const round = applyEdit(attendant, {
      type: 'setPath',
      slot: { type: 'silence', sheetId: welcomeId },
      path: [{ type: 'followPath', pathId: frontDeskPath }],
    });
    const through = (...steps: Path) =>
      read(applyEdit(round, { type: 'addNamedPath', path: { id: frontDeskPath, name: 'Desk', steps } }));
    const toFuel = { type: 'goTo', sheetId: fuelId } as const;
    expect(through(toFuel).map(({ at }) => at)).toEqual([
      { type: 'sheet', sheetId: welcomeId },
      { type: 'sheet', sheetId: fuelId },
    ]);
    expect(through(ringFor(noor.id, 18), toFuel)).toEqual([]);
  });

  it('lets a named path end what follows it', () => {
    const path = { id: frontDeskPath, name: 'Desk', steps: [ringFor(noor.id, 18), ...message] };
    const named = applyEdit(attendant, { type: 'addNamedPath', path });
    expect(read(applyEdit(named, onKey1({ type: 'followPath', pathId: frontDeskPath })))).toEqual([]);
  });

  it('lets a path end with a group or a queue that says itself what follows', () => {
    const after = (...steps: Path) => read(applyEdit(attendant, onKey1(...steps))).map(({ rule }) => rule);
    const waits: Path = [{ type: 'waitInQueue', queueId: launchQueue.id }];
    expect(after(ringGroup(moorings.id))).toEqual(['pathStops']);
    expect(after(...waits)).toEqual(['pathStops']);
    const own = [
      { type: 'group' as const, groupId: moorings.id },
      ...queueReasons.map((reason) => ({ type: 'queue' as const, queueId: launchQueue.id, reason })),
    ];
    const said = own.reduce((all, slot) => applyEdit(all, { type: 'setPath', slot, path: message }), attendant);
    expect(read(applyEdit(said, onKey1(ringGroup(moorings.id))))).toEqual([]);
    expect(read(applyEdit(said, onKey1(...waits)))).toEqual([]);
  });

  it('knows how long each phone of a person rings before the next one', () => {
    const phones = (accept: boolean) => [
      { type: 'desk' as const, seconds: 10 },
      { type: 'outside' as const, number: '+12075550161', seconds: 12, accept },
    ];
    const rungFor = (seconds: number, accept = false) =>
      proofOf(withAttendant(applyEdit(attendant, onKey1(ringFor(priya.id, seconds), ...message)), script), {
        people: [noor, { ...priya, phones: phones(accept) }],
      }).map(({ rule }) => rule);
    expect(rungFor(30)).toEqual([]);
    expect(rungFor(35)).toEqual(['ownVoicemail']);
    expect(rungFor(35, true)).toEqual([]);
    expect(line.number).toBe('+12075550140');
  });
});

describe('an attendant without faults', () => {
  const messageLast = (path: Path): Path => [
    ...path.filter(({ type }) => type !== 'followPath' && type !== 'toLine'),
    ...message,
  ];
  /** Any script, with every path brought to an end and every sheet given words. */
  const mended = anyScript.map((any) => ({
    ...any,
    lines: any.lines.map((each) => ({
      ...each,
      attendant: {
        ...each.attendant,
        paths: [],
        fallbacks: each.attendant.fallbacks.map((fallback) => ({ ...fallback, path: messageLast(fallback.path) })),
        answering: {
          rules: each.attendant.answering.rules.map((rule) => ({ ...rule, path: messageLast(rule.path) })),
          otherwise: messageLast(each.attendant.answering.otherwise),
        },
        sheets: each.attendant.sheets.map((sheet) =>
          sheet.type === 'menu'
            ? {
                ...sheet,
                openingWords: 'Please choose.',
                options: sheet.options.map((option) => ({ ...option, path: messageLast(option.path) })),
                silencePath: messageLast(sheet.silencePath),
                wrongKeyPath: messageLast(sheet.wrongKeyPath),
              }
            : { ...sheet, words: 'Listen.', afterPath: messageLast(sheet.afterPath) },
        ),
      },
    })),
  }));
  const presses = fc.array(
    fc.record({
      type: fc.constant('press' as const),
      key: fc.constantFrom(...keys),
      afterMs: fc.integer({ min: 0, max: 60_000 }),
    }),
    { maxLength: 6 },
  );

  it('never lets a caller run out of a path, whoever answers', () => {
    fc.assert(
      fc.property(mended, presses, fc.constantFrom('noAnswer', 'busy'), (any, caller, type) => {
        const trial = { atMs: openMoment, callerNumber: '+12075550178', caller, staff: () => ({ type }) as StaffAct };
        const ended = runTrial(any, trial).transcript.at(-1);
        expect(ended).toMatchObject({ type: 'ended' });
        expect(ended?.type === 'ended' && ended.reason).not.toBe('pathRanOut');
        expect(proofOf(any).map(({ rule }) => rule)).not.toContain('pathStops');
      }),
      { numRuns: 300 },
    );
  });

  it('is read whole whatever is in it', () => {
    fc.assert(
      fc.property(anyScript, (any) => {
        const line = any.lines[0]?.attendant ?? attendant;
        for (const finding of proofOf(any)) {
          expect(describeFinding(finding, line, names)).toMatch(/\.$/);
          expect(adviseOn(finding)).toMatch(/\.$/);
          if (finding.fix) expect(applyEdit(line, finding.fix)).not.toEqual(line);
        }
      }),
    );
  });
});
