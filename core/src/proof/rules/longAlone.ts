import { slotKey, type Slot } from '../../line';
import type { Explored } from '../../paths';
import { aloneLimits, aloneMs, aloneWay } from '../alone';
import { callsOf, type Calls } from '../calls';
import { rememberBy } from '../remember';
import { atSlot, type Found, type Rule } from '../rule';

/** Ways on which a caller whom nobody answers waits too long until a message can be left, or it ends. */
export const longAlone: Rule<'longAlone'> = {
  name: 'longAlone',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => tooLong(callsOf(subject), subject.mostAloneSeconds ?? aloneLimits.usual),
};

const tooLong = rememberBy(({ answered }: Calls, mostSeconds: number): readonly Found[] => {
  const found = new Map<string, Found>();
  const add = (slot: Slot, ms: number): void => {
    const key = slotKey(slot);
    if (ms <= mostSeconds * 1000 || found.has(key)) return;
    found.set(key, { at: atSlot(slot), facts: { minutes: Math.round(ms / 60_000), most: mostSeconds / 60 } });
  };
  for (const { reach, slot } of answered) {
    for (const { choices } of reach.menus.values()) {
      for (const choice of choices) if (isOver(choice)) add(slotOf(choice, slot), aloneMs(choice.leg));
    }
    for (const helpless of ['silence', 'wrongKey'] as const) {
      const way = aloneWay(reach, helpless, slot);
      add(
        way.slot,
        way.legs.reduce((ms, leg) => ms + aloneMs(leg), 0),
      );
    }
  }
  return [...found.values()];
});

/** Ringing for ever, and going round, have rules of their own. */
function isOver({ leg }: Explored): boolean {
  return ['message', 'hungUp', 'ranOut'].includes(leg.end.type);
}

function slotOf({ turn, leg }: Explored, answering: Slot): Slot {
  if (turn?.type === 'key' || turn?.type === 'silence' || turn?.type === 'wrongKey') return turn;
  return leg.steps[0]?.slot ?? answering;
}
