import {
  beginsWithPattern,
  currencies,
  mostAmount,
  rateLimits,
  type Amount,
  type Budget,
  type LinePrice,
  type OutsidePrice,
  type RateCard,
  type Rates,
} from '@locutor/core/cost';
import { membershipLimits, personId, type PersonId } from '@locutor/core/directory';
import { lineId, type LineId } from '@locutor/core/line';
import { ChoiceField, PartsField, PatternField, PatternsField, PercentField, WholeField } from '../problems/fields';

const AmountField = (name: string): PropertyDecorator =>
  WholeField({ name: `${name} (in millionths)`, least: 0, most: mostAmount });

class OutsidePriceDto implements OutsidePrice {
  @PatternField({ pattern: beginsWithPattern, says: 'A number begins with + and digits, like +44.' })
  beginsWith: string;

  @AmountField('What a minute to these numbers costs')
  perMinute: Amount;
}

class LinePriceDto implements LinePrice {
  @PatternField({ pattern: lineId.pattern, says: 'That is not the id of a line.' })
  lineId: LineId;

  @AmountField('The rent of a number of this line')
  rent: Amount;

  @AmountField('What a minute to this line costs')
  perMinuteIn: Amount;
}

class RateCardDto implements RateCard {
  @PatternField({
    pattern: /^[12]\d{3}-\d{2}-\d{2}$/,
    says: 'The first day of a rate card is written as in 2026-11-24.',
  })
  from: string;

  @AmountField('The rent of a number')
  rent: Amount;

  @WholeField({ name: 'How many minutes are included', ...rateLimits.includedMinutes })
  includedMinutes: number;

  @AmountField('What a minute to a line costs')
  perMinuteIn: Amount;

  @AmountField('What a minute to an outside phone costs')
  perMinuteOut: Amount;

  @PartsField({
    of: OutsidePriceDto,
    says: 'Prices of outside numbers are a list.',
    most: rateLimits.outside,
    tooMany: `At most ${rateLimits.outside} prices for outside numbers fit on a rate card.`,
  })
  outside: readonly OutsidePriceDto[];

  @PartsField({
    of: LinePriceDto,
    says: 'Prices of lines are a list.',
    most: rateLimits.lines,
    tooMany: `At most ${rateLimits.lines} lines can have prices of their own.`,
  })
  lines: readonly LinePriceDto[];

  @WholeField({ name: 'The seconds of a step', ...rateLimits.stepSeconds })
  stepSeconds: number;

  @PercentField({ name: 'The tax' })
  taxPercent: number;
}

export class RatesDto implements Rates {
  @ChoiceField({ of: currencies(), says: 'Currencies are named by their three letters, like USD.' })
  currency: string;

  @PartsField({
    of: RateCardDto,
    says: 'Rate cards are a list.',
    most: rateLimits.cards,
    tooMany: `At most ${rateLimits.cards} rate cards are kept.`,
  })
  cards: readonly RateCardDto[];
}

export class BudgetDto implements Budget {
  @AmountField('The budget')
  amount: Amount;

  @PatternsField({ pattern: personId.pattern, says: 'Say who is told by their ids.', most: membershipLimits.members })
  tell: readonly PersonId[];
}
