import { budgetState, showAmount } from '@locutor/core/cost';
import { showDate, wallTime } from '@locutor/core/hours';
import { useCost, useSettings } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { useNow } from '../../parts/useNow';

/** That calls cost more this month than they may, or most likely will, in words; null while they do not. */
export function useOverBudget(): string | null {
  const { line } = useDraftTools();
  const { data: settings } = useSettings();
  const today = showDate(wallTime(line.timeZone, useNow(60_000)).day);
  const budget = settings?.budget;
  const cost = useCost(budget ? { from: today, to: today } : null).data?.cost;
  if (!settings || !budget || !cost) return null;
  const { thisMonth, forecast } = cost;
  const show = (amount: number): string => showAmount(amount, settings.rates.currency);
  const of = `the budget of ${show(budget.amount)}`;
  switch (budgetState(budget, thisMonth.total, forecast)) {
    case 'over':
      return `Calls have cost ${show(thisMonth.total)} this month, more than ${of}.`;
    case 'likely':
      return `Calls will most likely cost ${show(forecast?.likely ?? 0)} this month, more than ${of}.`;
    case 'within':
      return null;
  }
}
