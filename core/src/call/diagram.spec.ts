import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import { closedMoment, openMoment } from '../testing/boatyard';
import { keys, type Key } from '../line';
import type { CallScript } from './script';
import { idleCall, type CallState, type Phase } from './state';
import { step } from './step';
import type { CallEvent } from './event';
import { runTrial, type CallerAct, type StaffAct } from '../exchange';
import { isLong } from '../testing/cases';

const page = join(__dirname, '../../../docs/call.md');
const began = '<!-- states: made by core/src/call/diagram.spec.ts; run it with WRITE_DOCS=1 to make them anew -->';
const ended = '<!-- end of states -->';

/** From a state by an event to others, as calls of any attendant go. */
type Ways = ReadonlyMap<`${State} ${string}`, ReadonlySet<State>>;

/** What so many calls of any attendant do. */
function waysOf(howMany: number): Ways {
  const act: fc.Arbitrary<CallerAct> = fc.oneof(
    fc.record({
      type: fc.constant('press' as const),
      key: fc.constantFrom(...keys, '2' as const, '0' as const, '4' as const),
      afterMs: fc.integer({ min: 0, max: 60_000 }),
    }),
    fc.record({
      type: fc.constant('speak' as const),
      words: fc.constantFrom('moorings', 'Achterberg', 'pizza', 'Noor Haldane'),
      afterMs: fc.integer({ min: 0, max: 60_000 }),
    }),
  );
  const dialled = fc
    .tuple(fc.integer({ min: 0, max: 20_000 }), fc.constantFrom('204', '206', '304', '299', '2#', '224', '2241', '2*'))
    .map(([fromMs, digits]) =>
      [...digits].map((key, index): CallerAct => ({ type: 'press', key: key as Key, afterMs: fromMs + index * 300 })),
    );
  const caller = fc.oneof(
    fc.array(act, { maxLength: 8 }),
    fc.tuple(dialled, dialled).map((both) => both.flat()),
  );
  const staff = fc.constantFrom<StaffAct>(
    { type: 'noAnswer' },
    { type: 'busy' },
    { type: 'voicemail', afterMs: 3000 },
    { type: 'answer', afterMs: 3000, talkMs: 20_000 },
  );
  const calls = fc.tuple(anyScript, caller, staff, fc.constantFrom(openMoment, closedMoment));
  const found = new Map<`${State} ${string}`, Set<State>>();
  for (const [script, acts, does, atMs] of fc.sample(calls, { numRuns: howMany, seed: 7 })) {
    const trial = { atMs, callerNumber: '+12075550178', caller: acts, staff: () => does };
    follow(script, runTrial(script, trial).events, found);
  }
  return found;
}

const drawing = (ways: Ways): readonly string[] =>
  [...[...ways].flatMap(drawn), ...onward.map((state) => `  onward --> ${state}`)].sort();

type State = Phase['type'];

/** Where a path can lead: drawn once, since every event that lets a path go on leads to any of them. */
const onward: readonly State[] = [
  'saying',
  'menuSpeaking',
  'menuWaiting',
  'askSpeaking',
  'ringing',
  'ringingGroup',
  'handingOver',
  'queuing',
  'boxGreeting',
  'ended',
];

function drawn([from, to]: readonly [string, ReadonlySet<State>]): readonly string[] {
  const [state, event] = from.split(' ');
  const goesOn = onward.filter((each) => to.has(each)).length > 2;
  const others = [...to].filter((each) => !goesOn || !onward.includes(each));
  return [...others, ...(goesOn ? ['onward'] : [])].map((each) => `  ${state} --> ${each} : ${event}`);
}

function follow(script: CallScript, events: readonly CallEvent[], found: Map<`${State} ${string}`, Set<State>>): void {
  let state: CallState = idleCall;
  for (const event of events) {
    const before = state.phase.type;
    state = step(script, state, event).state;
    const after = state.phase.type;
    const isOver = event.type === 'callerHungUp' || (after === 'ended' && state.phase.reason === 'longestCall');
    if (isOver || before === after) continue;
    const from = `${before} ${event.type}` as const;
    found.set(from, (found.get(from) ?? new Set()).add(after));
  }
}

describe('docs/call.md', () => {
  const shown = (): string => readFileSync(page, 'utf8').split(began)[1]?.split(ended)[0]?.trim() ?? '';

  it('shows every way between states that calls take', () => {
    const lines = new Set(shown().split('\n'));
    for (const [from, all] of waysOf(500)) {
      const [state, event] = from.split(' ');
      const goesOn = lines.has(`  ${state} --> onward : ${event}`);
      for (const to of all) {
        const isShown = lines.has(`  ${state} --> ${to} : ${event}`) || (goesOn && onward.includes(to));
        expect([from, to, isShown]).toEqual([from, to, true]);
      }
    }
  });

  // To meet every way there is takes many calls.
  (isLong || process.env.WRITE_DOCS ? it : it.skip)('shows no other', () => {
    const diagram = ['```mermaid', 'stateDiagram-v2', ...drawing(waysOf(4000)), '```'].join('\n');
    const [head, rest] = readFileSync(page, 'utf8').split(began);
    const tail = rest?.split(ended)[1];
    if (process.env.WRITE_DOCS) writeFileSync(page, `${head}${began}\n${diagram}\n${ended}${tail}`);
    else expect(shown()).toBe(diagram);
  });

  it('says what each state is', () => {
    const text = readFileSync(page, 'utf8');
    const phases: Readonly<Record<Exclude<Phase['type'], 'onward'>, true>> = {
      idle: true,
      saying: true,
      menuSpeaking: true,
      menuWaiting: true,
      menuDialling: true,
      askSpeaking: true,
      askWaiting: true,
      ringing: true,
      ringingGroup: true,
      handingOver: true,
      queuing: true,
      inQueue: true,
      onHold: true,
      pinSpeaking: true,
      pinWaiting: true,
      pinChecking: true,
      hearingMessages: true,
      accepting: true,
      connected: true,
      boxGreeting: true,
      recording: true,
      takeSpeaking: true,
      takeRecording: true,
      takeFinishing: true,
      takeAsking: true,
      takeWaiting: true,
      ended: true,
    };
    for (const phase of Object.keys(phases)) expect(text).toContain(`| \`${phase}\` |`);
  });
});
