import fc from 'fast-check';
import {
  attendant,
  frontDeskPath,
  fuelId,
  launchQueue,
  moorings,
  names,
  noor,
  openMoment,
  priya,
  ringFor,
  slipHolders,
  welcomeId,
} from '../testing/boatyard';
import { anyScript } from '../testing/anyScript';
import { flawed, flaws, officeOf, onKey1, ringGroup } from '../testing/flaws';
import { proofOf } from '../testing/proofOf';
import { leaveMessage, soundAttendant, soundSubject, thanksgiving } from '../testing/soundOffice';
import { runTrial, type StaffAct } from '../exchange';
import { queueReasons } from '../directory';
import { applyEdit, keys, type Attendant, type Path } from '../line';
import {
  adviseOn,
  describeFinding,
  describeRowFix,
  faultsIn,
  openIn,
  proof,
  unansweredIn,
  whyItMatters,
  type RuleName,
} from '.';
import { withRowFix } from './rowFix';
import { rules } from './rules';
import { cases } from '../testing/cases';

const allNames = {
  ...names,
  [thanksgiving.id]: 'Thanksgiving',
  'line:shed': 'Shed',
  'group:empty': 'Attic group',
  'group:desk': 'Desk',
  'box:lonely': 'Attic',
  'special:christmas': 'Christmas',
  'special:stock': 'Stock taking',
  [slipHolders.id]: 'Slip holders',
};
const ruleNames = rules.map(({ name }) => name);
const subjectWith = (name: RuleName) => soundSubject(flawed(name), officeOf(name, soundSubject()));
const rulesIn = (edited: Attendant) => proof(soundSubject(edited)).map(({ rule }) => rule);

describe('the proof', () => {
  it('finds nothing in a sound attendant', () => expect(proof(soundSubject())).toEqual([]));

  it.each(ruleNames)('finds one thing, and only that, by the rule %s', (name) => {
    const subject = subjectWith(name);
    const findings = proof(subject).filter(({ rule }) => name === 'priceInWords' || rule !== 'priceInWords');
    const [first] = findings;
    expect(new Set(findings.map(({ rule }) => rule))).toEqual(new Set([name]));
    expect(first && describeFinding(first, subject.attendant, allNames)).toBe(flaws[name].says);
    expect(first && adviseOn(first)).toMatch(/\.$/);
    expect(whyItMatters(name)).toMatch(/\.$/);
  });

  it.each(ruleNames)('mends what the rule %s offers to mend, and breaks nothing', (name) => {
    const subject = subjectWith(name);
    for (const { key, fix } of proof(subject)) {
      if (!fix) continue;
      const after = proof({ ...subject, attendant: applyEdit(subject.attendant, fix) });
      expect(after.map((finding) => finding.key)).not.toContain(key);
      expect(faultsIn(after).length).toBeLessThanOrEqual(faultsIn(proof(subject)).length);
      const before = new Set(proof(subject).map((finding) => finding.rule));
      expect(after.filter(({ grade, rule }) => grade !== 'tip' && !before.has(rule))).toEqual([]);
    }
  });

  it.each(ruleNames)(
    'mends what the rule %s offers to mend in the directory or the hours, and breaks nothing',
    (name) => {
      const subject = subjectWith(name);
      const known = new Set(proof(subject).map(({ rule }) => rule));
      for (const { key, rowFix } of proof(subject)) {
        if (!rowFix) continue;
        const after = proof(withRowFix(subject, rowFix));
        expect(after.map((finding) => finding.key)).not.toContain(key);
        expect(after.filter(({ grade, rule }) => grade !== 'tip' && !known.has(rule))).toEqual([]);
        expect(describeRowFix(rowFix, allNames)).toMatch(/^(?:let|give|tell) /);
      }
    },
  );

  it('offers to mend queues, boxes and hours where they are kept', () => {
    const mended = ruleNames.filter((name) => proof(subjectWith(name)).some(({ rowFix }) => rowFix));
    expect(new Set(mended)).toEqual(new Set(['noWayOut', 'longWait', 'holidayInWords', 'tellNowhere', 'queuePaused']));
  });

  it('offers to mend most of what an edit can mend', () => {
    const mended = ruleNames.filter((name) => proof(subjectWith(name)).some(({ fix }) => fix));
    expect(mended.length).toBeGreaterThan(25);
  });

  it('finds every fault of several', () => {
    const several: readonly RuleName[] = ['pathEmpty', 'pathStops', 'noFallback', 'pathInItself', 'repeatsForEver'];
    const findings = proof(soundSubject(flawed(...several)));
    expect(new Set(findings.map(({ rule }) => rule))).toEqual(new Set(several));
    expect(faultsIn(findings)).toHaveLength(findings.length - 1);
  });

  it('takes a yes to a caution, and silences tips, until something about them changes', () => {
    const findings = proof(soundSubject(flawed('ringsForEver', 'zeroUnused', 'pathEmpty')));
    expect(unansweredIn(findings, []).map(({ rule }) => rule)).toEqual(['ringsForEver']);
    const accepted = findings;
    expect(unansweredIn(findings, accepted)).toEqual([]);
    expect(openIn(findings, accepted).map(({ rule }) => rule)).toEqual(['pathEmpty']);
    const saysPress = (key: number) =>
      proof(
        soundSubject(
          applyEdit(soundAttendant, {
            type: 'setWords',
            sheetId: welcomeId,
            part: 'closingWords',
            words: `For sails, press ${key}.`,
          }),
        ),
      );
    expect(unansweredIn(saysPress(4), saysPress(4))).toEqual([]);
    expect(unansweredIn(saysPress(5), saysPress(4))).toHaveLength(1);
  });

  it('reads again after an edit as if it read for the first time', () => {
    for (const name of ruleNames) {
      const subject = subjectWith(name);
      proof(soundSubject());
      const again = proof(subject);
      expect(proof(structuredClone(subject))).toEqual(again);
    }
  });

  it('finds a person who has left, and callers whose list was deleted', () => {
    const rule = { type: 'callers', callerListId: slipHolders.id, path: leaveMessage } as const;
    const subject = soundSubject(applyEdit(soundAttendant, { type: 'addRule', rule }), {
      people: [noor],
      groups: [],
      queues: [],
    });
    const key1 = { type: 'key', sheetId: welcomeId, key: '1' } as const;
    expect(proof(subject).map(({ rule: found, at }) => [found, at])).toEqual([
      ['toDeleted', { type: 'path', slot: { type: 'callers', callerListId: slipHolders.id }, stepIndex: null }],
      ['toDeleted', { type: 'path', slot: key1, stepIndex: 0 }],
    ]);
    expect(proof({ ...subject, people: [noor, priya], callerLists: [slipHolders] })).toEqual([]);
  });

  it('mends a key that is the first digit of extensions by moving it to one that is not', () => {
    const edited = flawed('keyIsFirstDigit');
    const [finding] = proof(soundSubject(edited));
    // Extensions begin with 2 and 3.
    expect(finding?.fix).toEqual({ type: 'moveKey', sheetId: welcomeId, from: '2', to: '4' });
    expect(finding?.fix && rulesIn(applyEdit(edited, finding.fix))).toEqual([]);
  });

  it('sees a circle through announcements and named paths, but none where somebody is rung on the way', () => {
    const round = applyEdit(soundAttendant, {
      type: 'setPath',
      slot: { type: 'silence', sheetId: welcomeId },
      path: [{ type: 'followPath', pathId: frontDeskPath }],
    });
    const through = (...steps: Path) =>
      proof(soundSubject(applyEdit(round, { type: 'addNamedPath', path: { id: frontDeskPath, name: 'Desk', steps } })));
    const toFuel = { type: 'goTo', sheetId: fuelId } as const;
    expect(through(toFuel).map(({ at }) => at)).toEqual([
      { type: 'sheet', sheetId: welcomeId },
      { type: 'sheet', sheetId: fuelId },
    ]);
    expect(through(ringFor(noor.id, 18), toFuel).map(({ rule, grade }) => [rule, grade])).toEqual([
      ['roundRinging', 'caution'],
    ]);
  });

  it('lets a named path end what follows it', () => {
    const path = { id: frontDeskPath, name: 'Desk', steps: [ringFor(noor.id, 18), ...leaveMessage] };
    const named = applyEdit(soundAttendant, { type: 'addNamedPath', path });
    expect(rulesIn(applyEdit(named, onKey1({ type: 'followPath', pathId: frontDeskPath })))).toEqual([]);
  });

  it('lets a path end with a group or a queue that says itself what follows', () => {
    const after = (...steps: Path) => rulesIn(applyEdit(soundAttendant, onKey1(...steps)));
    const waits: Path = [{ type: 'waitInQueue', queueId: launchQueue.id }];
    expect(after(ringGroup(moorings.id))).toEqual(['pathStops']);
    expect(after(...waits)).toEqual(['pathStops']);
    const own = [
      { type: 'group' as const, groupId: moorings.id },
      ...queueReasons.map((reason) => ({ type: 'queue' as const, queueId: launchQueue.id, reason })),
    ];
    const said = own.reduce(
      (all, slot) => applyEdit(all, { type: 'setPath', slot, path: leaveMessage }),
      soundAttendant,
    );
    expect(rulesIn(applyEdit(said, onKey1(ringGroup(moorings.id))))).toEqual([]);
    expect(rulesIn(applyEdit(said, onKey1(...waits)))).toEqual([]);
  });

  it('knows how long each phone of a person rings before the next one', () => {
    const phones = (accept: boolean) => [
      { type: 'desk' as const, seconds: 10 },
      { type: 'outside' as const, number: '+12075550161', seconds: 12, accept },
    ];
    const rungFor = (seconds: number, accept = false) =>
      proof(
        soundSubject(applyEdit(soundAttendant, onKey1(ringFor(priya.id, seconds), ...leaveMessage)), {
          people: [noor, { ...priya, phones: phones(accept) }],
          groups: [],
          queues: [],
        }),
      ).map(({ rule }) => rule);
    expect(rungFor(30)).toEqual([]);
    expect(rungFor(35)).toEqual(['ownVoicemail']);
    expect(rungFor(35, true)).toEqual([]);
  });
});

describe('an attendant without faults', () => {
  const messageLast = (path: Path): Path => [
    ...path.filter(({ type }) => type !== 'followPath' && type !== 'toLine'),
    ...leaveMessage,
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
      cases(300),
    );
  });

  it('is read whole whatever is in it', () => {
    fc.assert(
      fc.property(anyScript, (any) => {
        const line = any.lines[0]?.attendant ?? attendant;
        for (const finding of proofOf(any)) {
          expect(describeFinding(finding, line, allNames)).toMatch(/\.$/);
          expect(adviseOn(finding)).toMatch(/\.$/);
          if (finding.fix) expect(applyEdit(line, finding.fix)).not.toEqual(line);
        }
      }),
    );
  });
});
