import type { PersonId } from '../directory';
import type { Amount } from './money';
import type { Forecast } from './forecast';

/** What calls may cost in a month, rents and tax included, and who is told by e-mail when they will cost more. */
export interface Budget {
  readonly amount: Amount;
  readonly tell: readonly PersonId[];
}

/** `over` once it is spent; `likely` when the month will most likely cost more. */
export type BudgetState = 'within' | 'likely' | 'over';

export function budgetState(budget: Budget, spent: Amount, forecast: Forecast | null): BudgetState {
  if (spent > budget.amount) return 'over';
  return forecast && forecast.likely > budget.amount ? 'likely' : 'within';
}
