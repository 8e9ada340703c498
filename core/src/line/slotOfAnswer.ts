import type { Answer, Switch } from '../hours';
import type { Attendant } from './attendant';
import { isRuleAt, type Slot } from './slot';

/** The place of the attendant whose path an answer takes. */
export function slotOfAnswer(answer: Answer): Slot {
  switch (answer.type) {
    case 'switch':
      return slotOfSwitch(answer.to);
    case 'period':
      return { type: 'period', periodId: answer.periodId };
    case 'callers':
      return { type: 'callers', callerListId: answer.callerListId };
    case 'special':
      return { type: 'special', specialId: answer.ruleOf };
    case 'otherwise':
      return { type: 'otherwise' };
  }
}

function slotOfSwitch(to: Switch['to']): Slot {
  switch (to.type) {
    case 'open':
      return { type: 'period', periodId: to.periodId };
    case 'closed':
      return { type: 'otherwise' };
    case 'sheet':
      return { type: 'switch', sheetId: to.sheetId };
  }
}

/** A switch, where an attendant can follow it: the sheet it leads to, or what answers in its period, may be gone. */
export function usableSwitch(attendant: Pick<Attendant, 'sheets' | 'answering'>, set: Switch | null): Switch | null {
  if (!set) return null;
  const { to } = set;
  switch (to.type) {
    case 'closed':
      return set;
    case 'sheet':
      return attendant.sheets.some(({ id }) => id === to.sheetId) ? set : null;
    case 'open':
      return attendant.answering.rules.some((rule) => isRuleAt(rule, { type: 'period', periodId: to.periodId }))
        ? set
        : null;
  }
}
