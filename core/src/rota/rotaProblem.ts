import { peopleOfRota, type Member, type PersonId, type Rota } from '../directory';
import { readDate } from '../hours';

export type RotaProblem =
  | { readonly type: 'from' | 'handoverOn' | 'swapDate' }
  | { readonly type: 'swapTwice'; readonly date: string }
  /** Somebody takes turns, or stands in, who is not a member. */
  | { readonly type: 'noMember'; readonly personId: PersonId };

/** What is wrong with the rota of a group with these members; undefined for nothing. */
export function rotaProblem(rota: Rota, members: readonly Member[]): RotaProblem | undefined {
  const { from, handoverOn, swaps } = rota;
  if (readDate(from) === undefined) return { type: 'from' };
  if (handoverOn.length === 0 || new Set(handoverOn).size < handoverOn.length) return { type: 'handoverOn' };
  if (swaps.some(({ date }) => readDate(date) === undefined)) return { type: 'swapDate' };
  const seen = new Set<string>();
  const twice = swaps.find(({ date }) => seen.size === seen.add(date).size);
  if (twice) return { type: 'swapTwice', date: twice.date };
  const personId = peopleOfRota(rota).find((id) => !members.some((member) => member.personId === id));
  return personId && { type: 'noMember', personId };
}
