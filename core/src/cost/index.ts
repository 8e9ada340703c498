export {
  currencies,
  currencyPattern,
  mostAmount,
  one,
  readAmount,
  showAmount,
  showPlainAmount,
  showPrice,
  type Amount,
  type Currency,
} from './money';
export {
  beginsWithPattern,
  cardOn,
  newCard,
  noRates,
  rateLimits,
  ratesProblem,
  type LinePrice,
  type OutsidePrice,
  type RateCard,
  type Rates,
} from './rateCard';
export {
  chargedSeconds,
  DayCharges,
  daysOfMonth,
  MonthBill,
  monthOf,
  type CallCost,
  type ChargedCall,
  type Month,
  type MonthCost,
  type Numbered,
} from './price';
export { costFigures, type Cost, type CostFigures, type CostRow, type PartCost } from './costFigures';
export { forecastDays, forecastMonth, type Forecast, type TimedCall } from './forecast';
export { budgetState, type Budget, type BudgetState } from './budget';
export { budgetWords, describeCost, describeMonth, sayMonth } from './words/cost.en';
