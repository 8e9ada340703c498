import fc from 'fast-check';
import type { TranscriptEntry } from '../call';
import { runTrial, type CallerAct, type StaffAct } from '../exchange';
import { instantOf, type TimeZone } from '../hours';
import { applyEdit, keys, ringDefaults, type Edit, type Path, type Slot } from '../line';
import {
  bookkeepers,
  dentists,
  frontId,
  infoId,
  lettings,
  message,
  nightId,
  ringFront,
  teamId,
  welcomeId,
  type Business,
} from '../testing/businesses';
import { ringGroup } from '../testing/flaws';
import { cases } from '../testing/cases';
import { proof, type ProofSubject } from '.';
import { trialScript } from './trialScript';

const goTo = (sheetId: typeof welcomeId): Path[number] => ({ type: 'goTo', sheetId });
const pieces: readonly Path[] = [
  [ringFront],
  [ringGroup(teamId)],
  [{ ...ringDefaults, type: 'ring', personId: frontId, seconds: 60 }],
  [],
];
const ends: readonly Path[] = [
  message,
  [goTo(welcomeId)],
  [goTo(nightId)],
  [goTo(infoId)],
  [{ type: 'back' }],
  [{ type: 'sayAgain' }],
  [{ type: 'hangUp', words: '' }],
  [{ type: 'hangUp', words: 'Goodbye.' }],
  [],
];
const slots: readonly Slot[] = [
  ...(['1', '2', '0'] as const).map((key): Slot => ({ type: 'key', sheetId: welcomeId, key })),
  ...[welcomeId, nightId].flatMap((sheetId): Slot[] => [
    { type: 'silence', sheetId },
    { type: 'wrongKey', sheetId },
  ]),
  { type: 'key', sheetId: nightId, key: '2' },
  { type: 'after', sheetId: infoId },
  { type: 'otherwise' },
];
const path = fc
  .tuple(fc.array(fc.constantFrom(...pieces), { maxLength: 3 }), fc.constantFrom(...ends))
  .map(([rings, end]): Path => [...rings.flat(), ...end]);
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ type: fc.constant('setPath' as const), slot: fc.constantFrom(...slots), path }),
  fc.record({
    type: fc.constant('setMenuSettings' as const),
    sheetId: fc.constantFrom(welcomeId, nightId),
    settings: fc.record({
      silentRounds: fc.integer({ min: 1, max: 9 }),
      wrongKeys: fc.integer({ min: 1, max: 5 }),
      waitSeconds: fc.integer({ min: 2, max: 30 }),
    }),
  }),
);

/** An attendant that goes on air without anybody's yes. */
const passing = fc
  .tuple(fc.constantFrom<Business>(dentists, lettings, bookkeepers), fc.array(edit, { minLength: 1, maxLength: 3 }))
  .map(([{ subject }, edits]): ProofSubject => ({ ...subject, attendant: edits.reduce(applyEdit, subject.attendant) }))
  .filter((subject) => proof(subject).every(({ grade }) => grade === 'tip'));

const presses = fc.array(
  fc.record({
    type: fc.constant('press' as const),
    key: fc.constantFrom(...keys),
    afterMs: fc.integer({ min: 0, max: 30_000 }),
  }),
  { maxLength: 8 },
);
const staffs: fc.Arbitrary<StaffAct> = fc.constantFrom<StaffAct>(
  { type: 'noAnswer' },
  { type: 'busy' },
  { type: 'answer', afterMs: 4000, talkMs: 20_000 },
);

interface Called {
  readonly transcript: readonly TranscriptEntry[];
  readonly isOver: boolean;
}

function call(
  { attendant, ...parts }: ProofSubject,
  reading: string,
  caller: readonly CallerAct[],
  act: StaffAct,
): Called {
  const atMs = instantOf(reading, parts.line.timeZone as TimeZone);
  const trial = { atMs, callerNumber: '+12075550178', caller, staff: () => act };
  const { transcript, ended } = runTrial(trialScript(parts, attendant), trial, 3000);
  return { transcript, isOver: ended };
}

const someone: ReadonlySet<TranscriptEntry['type']> = new Set(['ringing', 'ringingGroup', 'recording', 'queued']);

describe('calls to what passes the proof', () => {
  it('are never trapped, and never cut off without a word, whoever presses what and whoever answers', () => {
    let calls = 0;
    fc.assert(
      fc.property(passing, presses, staffs, fc.constantFrom('2026-11-24T10:00', '2026-11-24T23:00'), (...given) => {
        const [subject, caller, act, reading] = given;
        const { transcript, isOver } = call(subject, reading, caller, act);
        calls += 1;
        expect(isOver).toBe(true);
        const last = transcript.at(-1);
        const reason = last?.type === 'ended' ? last.reason : 'none';
        expect(['pathRanOut', 'circle', 'longestCall', 'none']).not.toContain(reason);
        expect(transcript.some(({ type }) => type === 'said' || someone.has(type))).toBe(true);
      }),
      cases(2400),
    );
    expect(calls).toBeGreaterThan(20);
  });

  it('come to somebody’s phone or a message when nothing is pressed, or only wrong keys', () => {
    const wrong = (key: (typeof keys)[number]): readonly CallerAct[] =>
      Array.from({ length: 12 }, () => ({ type: 'press' as const, key, afterMs: 6000 }));
    fc.assert(
      fc.property(
        passing,
        fc.constantFrom<readonly CallerAct[]>([], wrong('9'), wrong('#')),
        fc.constantFrom('2026-11-24T10:00', '2026-11-24T23:00'),
        (subject, caller, reading) => {
          const { transcript } = call(subject, reading, caller, { type: 'noAnswer' });
          expect(transcript.some(({ type }) => someone.has(type))).toBe(true);
        },
      ),
      cases(1600),
    );
  });
});
