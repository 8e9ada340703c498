import { Box, Text } from '@chakra-ui/react';
import { one, type Budget, type Currency } from '@locutor/core/cost';
import { InlineAmount } from '../../parts/InlineAmount';
import { InlineSelect } from '../../parts/InlineSelect';
import { PeopleToTell } from './PeopleToTell';

interface Props {
  readonly budget: Budget | null;
  readonly currency: Currency;
  readonly onChange: (budget: Budget | null) => void;
}

/** What calls may cost in a month, and who is told when they will cost more. */
export function BudgetField({ budget, currency, onChange }: Props) {
  return (
    <Box mt="3">
      <InlineSelect
        label="Budget"
        value={budget ? 'some' : 'none'}
        choices={[
          { value: 'none', label: 'No budget' },
          { value: 'some', label: 'A month may cost' },
        ]}
        onChange={(value) => onChange(value === 'none' ? null : (budget ?? { amount: 100 * one, tell: [] }))}
      />{' '}
      {budget && (
        <>
          <InlineAmount
            label={`Budget of a month in ${currency}`}
            value={budget.amount}
            onChange={(amount) => onChange({ ...budget, amount })}
          />{' '}
          {currency}, rents and tax included. Today says when it is spent, or most likely will be.
          <Text mt="1">Told by e-mail then, once a month:</Text>
          <PeopleToTell chosen={budget.tell} onChange={(tell) => onChange({ ...budget, tell })} />
        </>
      )}
    </Box>
  );
}
