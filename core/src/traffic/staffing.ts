import type { PersonId } from '../directory';
import type { RingEnd, Who } from './rings';

/** How often somebody was rung and how that ended, of a span; the server sums them. */
export interface RingSum {
  readonly who: Who;
  readonly end: RingEnd;
  readonly rings: number;
  readonly talkMs: number;
  readonly holdMs: number;
}

/** Of several days each person and end once, in alphabetical order. */
export function ringSums(days: Iterable<RingSum>): readonly RingSum[] {
  const sums = new Map<string, { -readonly [Name in keyof RingSum]: RingSum[Name] }>();
  for (const { who, end, rings, talkMs, holdMs } of days) {
    const key = `${who} ${end}`;
    let sum = sums.get(key);
    if (!sum) sums.set(key, (sum = { who, end, rings: 0, talkMs: 0, holdMs: 0 }));
    sum.rings += rings;
    sum.talkMs += talkMs;
    sum.holdMs += holdMs;
  }
  return [...sums].sort(([one], [other]) => (one < other ? -1 : 1)).map(([, sum]) => sum);
}

/** What somebody had to do with calls. Counts of work, and no ranking. */
export interface WorkOf {
  readonly who: Who;
  readonly rung: number;
  readonly answered: number;
  readonly declined: number;
  readonly letRing: number;
  /** Rings that ended before they could: another answered, or the caller hung up. */
  readonly stopped: number;
  readonly talkMs: number;
  readonly holdMs: number;
  /** Their part of all time that was talked, from 0 to 1. */
  readonly share: number;
}

/** By who was rung, in the order they are given in; then others, the most talked first. */
export function workFigures(sums: readonly RingSum[], order: readonly PersonId[]): readonly WorkOf[] {
  const all = sums.reduce((total, { talkMs }) => total + talkMs, 0);
  const people = [...new Set(sums.map(({ who }) => who))].map((who): WorkOf => {
    const of = sums.filter((sum) => sum.who === who);
    const count = (end: RingEnd): number =>
      total(
        of.filter((sum) => sum.end === end),
        'rings',
      );
    const talkMs = total(of, 'talkMs');
    return {
      who,
      rung: total(of, 'rings'),
      answered: count('answered'),
      declined: count('declined'),
      letRing: count('letRing'),
      stopped: count('stopped'),
      talkMs,
      holdMs: total(of, 'holdMs'),
      share: all > 0 ? talkMs / all : 0,
    };
  });
  const place = ({ who }: WorkOf): number => {
    const at = order.findIndex((each) => each === who);
    return at < 0 ? order.length : at;
  };
  return people.sort((one, other) => place(one) - place(other) || other.talkMs - one.talkMs);
}

function total(sums: readonly RingSum[], name: 'rings' | 'talkMs' | 'holdMs'): number {
  return sums.reduce((sum, each) => sum + each[name], 0);
}
