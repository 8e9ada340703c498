import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  currencies,
  newCard,
  rateLimits,
  ratesProblem,
  type LinePrice,
  type OutsidePrice,
  type RateCard,
  type Rates,
} from '@locutor/core/cost';
import { readDate, showDate } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { Plus, X } from 'lucide-react';
import { useLines } from '../../api/resources';
import { DateField } from '../../parts/DateField';
import { InlineAmount } from '../../parts/InlineAmount';
import { InlineInput } from '../../parts/InlineInput';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { SmallButton } from '../../parts/SmallButton';

interface Props {
  readonly rates: Rates;
  /** By the calendar of the business. */
  readonly today: number;
  readonly onChange: (rates: Rates) => void;
}

const currencyNames = new Intl.DisplayNames('en', { type: 'currency' });
const currencyChoices = currencies().map((value) => ({ value, label: `${value}, ${currencyNames.of(value) ?? ''}` }));

/** What the provider of the numbers charges, as sentences: a card for each time from which prices hold. */
export function RateCards({ rates, today, onChange }: Props) {
  const cards = [...rates.cards].sort((one, other) => (one.from < other.from ? 1 : -1));
  const put = (changed: RateCard, was: RateCard): void =>
    onChange({ ...rates, cards: rates.cards.map((card) => (card === was ? changed : card)) });
  const add = (): void => {
    const [newest] = cards;
    const [year = 2000, month = 1] = showDate(today).split('-').map(Number);
    const first = showDate(readDate(`${year}-${String(month).padStart(2, '0')}-01`) ?? today);
    const from = newest && newest.from >= first ? dayAfter(newest.from) : first;
    onChange({ ...rates, cards: [...rates.cards, { ...newCard, ...newest, from }] });
  };
  const problem = ratesProblem(rates);
  return (
    <>
      <Text color="quiet" mb="2">
        What your provider charges. Traffic reckons from it what calls cost. Prices are without tax.
      </Text>
      {cards.length > 0 && (
        <Text mb="2">
          Prices are in{' '}
          <InlineSelect
            label="Currency"
            value={rates.currency}
            choices={currencyChoices}
            onChange={(currency) => onChange({ ...rates, currency })}
          />
          .
        </Text>
      )}
      {cards.map((card) => (
        <Card
          key={rates.cards.indexOf(card)}
          card={card}
          onChange={(changed) => put(changed, card)}
          onRemove={() => onChange({ ...rates, cards: rates.cards.filter((each) => each !== card) })}
        />
      ))}
      {problem && (
        <Text role="alert" fontWeight="600" mb="2">
          {problem}
        </Text>
      )}
      {cards.length < rateLimits.cards && (
        <Button size="sm" variant="outline" bg="sheet" onClick={add}>
          <Plus size={14} aria-hidden /> {cards.length === 0 ? 'Add a rate card' : 'Prices from another day'}
        </Button>
      )}
    </>
  );
}

function dayAfter(date: string): string {
  return showDate((readDate(date) ?? 0) + 1);
}

interface CardProps {
  readonly card: RateCard;
  readonly onChange: (card: RateCard) => void;
  readonly onRemove: () => void;
}

function Card({ card, onChange, onRemove }: CardProps) {
  const set = (changes: Partial<RateCard>): void => onChange({ ...card, ...changes });
  const amount = (label: string, name: 'rent' | 'perMinuteIn' | 'perMinuteOut') => (
    <InlineAmount label={label} value={card[name]} onChange={(value) => set({ [name]: value })} />
  );
  return (
    <Box
      as="fieldset"
      borderTopWidth="1px"
      borderColor="hairline"
      pt="2"
      mb="3"
      lineHeight="2"
      aria-label={`Rate card from ${card.from}`}
    >
      <Flex align="center" gap="2" wrap="wrap">
        From <DateField label="First day" value={card.from} onChange={(from) => set({ from })} />
        <Box flex="1" />
        <SmallButton
          label={`Remove the rate card from ${card.from}`}
          icon={<X size={14} aria-hidden />}
          onClick={onRemove}
        />
      </Flex>
      <Box>
        Each number costs {amount('Rent of a number a month', 'rent')} a month, with{' '}
        <InlineNumber
          label="Minutes included"
          value={card.includedMinutes}
          {...rateLimits.includedMinutes}
          step={100}
          onChange={(includedMinutes) => set({ includedMinutes })}
        />{' '}
        minutes of calls to all lines together included. After them a minute costs{' '}
        {amount('Price of a minute to a line', 'perMinuteIn')}. A minute put through to an outside phone costs{' '}
        {amount('Price of a minute to an outside phone', 'perMinuteOut')} on top.
      </Box>
      <Box>
        Calls are charged in steps of{' '}
        <InlineNumber
          label="Seconds of a step"
          value={card.stepSeconds}
          {...rateLimits.stepSeconds}
          onChange={(stepSeconds) => set({ stepSeconds })}
        />{' '}
        s. Tax is <Percent value={card.taxPercent} onChange={(taxPercent) => set({ taxPercent })} /> % of everything.
      </Box>
      <OutsidePrices prices={card.outside} onChange={(outside) => set({ outside })} usual={card.perMinuteOut} />
      <LinePrices prices={card.lines} onChange={(lines) => set({ lines })} card={card} />
    </Box>
  );
}

function Percent({ value, onChange }: { readonly value: number; readonly onChange: (value: number) => void }) {
  // Amounts are in millionths; so is this on its way.
  const { most } = rateLimits.taxPercent;
  return (
    <InlineAmount
      label="Tax in percent"
      value={Math.round(value * 1e6)}
      onChange={(typed) => typed <= most * 1e6 && onChange(Math.round(typed / 1000) / 1000)}
    />
  );
}

interface OutsideProps {
  readonly prices: readonly OutsidePrice[];
  readonly usual: number;
  readonly onChange: (prices: readonly OutsidePrice[]) => void;
}

/** Numbers that cost other than the rest, by how they begin. */
function OutsidePrices({ prices, usual, onChange }: OutsideProps) {
  const put = (index: number, changed: OutsidePrice): void =>
    onChange(prices.map((price, at) => (at === index ? changed : price)));
  return (
    <>
      {prices.map((price, index) => (
        <Flex key={index} align="center" gap="1.5" wrap="wrap">
          Outside phones that begin with
          <InlineInput
            aria-label="How the numbers begin"
            inputMode="tel"
            value={price.beginsWith}
            maxLength={15}
            onChange={({ currentTarget: { value } }) =>
              put(index, { ...price, beginsWith: value.replace(/[^+\d]/g, '') })
            }
          />
          cost
          <InlineAmount
            label={`Price of a minute to ${price.beginsWith}`}
            value={price.perMinute}
            onChange={(perMinute) => put(index, { ...price, perMinute })}
          />
          a minute
          <SmallButton
            label={`Leave out ${price.beginsWith}`}
            icon={<X size={13} aria-hidden />}
            onClick={() => onChange(prices.filter((_, at) => at !== index))}
          />
        </Flex>
      ))}
      <Button
        size="xs"
        variant="ghost"
        me="2"
        disabled={prices.length >= rateLimits.outside}
        onClick={() => onChange([...prices, { beginsWith: freeBeginning(prices), perMinute: usual }])}
      >
        <Plus size={13} aria-hidden /> other prices for some outside phones
      </Button>
    </>
  );
}

/** One that no price has yet; it is typed over. */
function freeBeginning(prices: readonly OutsidePrice[]): string {
  let beginning = 1;
  while (prices.some(({ beginsWith }) => beginsWith === `+${beginning}`)) beginning += 1;
  return `+${beginning}`;
}

interface LinesProps {
  readonly prices: readonly LinePrice[];
  readonly card: RateCard;
  readonly onChange: (prices: readonly LinePrice[]) => void;
}

/** Lines whose numbers cost other than the rest. */
function LinePrices({ prices, card, onChange }: LinesProps) {
  const { data: lines = [] } = useLines();
  const nameOf = (id: LineId): string => lines.find((line) => line.id === id)?.name ?? 'a deleted line';
  const free = lines.filter(({ id }) => !prices.some(({ lineId }) => lineId === id));
  const put = (lineId: LineId, changes: Partial<LinePrice>): void =>
    onChange(prices.map((price) => (price.lineId === lineId ? { ...price, ...changes } : price)));
  const [next] = free;
  return (
    <>
      {prices.map(({ lineId, rent, perMinuteIn }) => (
        <Flex key={lineId} align="center" gap="1.5" wrap="wrap">
          {nameOf(lineId)}: its number costs
          <InlineAmount
            label={`Rent of ${nameOf(lineId)}`}
            value={rent}
            onChange={(value) => put(lineId, { rent: value })}
          />
          a month, a minute to it
          <InlineAmount
            label={`Price of a minute to ${nameOf(lineId)}`}
            value={perMinuteIn}
            onChange={(value) => put(lineId, { perMinuteIn: value })}
          />
          <SmallButton
            label={`Leave out ${nameOf(lineId)}`}
            icon={<X size={13} aria-hidden />}
            onClick={() => onChange(prices.filter((price) => price.lineId !== lineId))}
          />
        </Flex>
      ))}
      {lines.length > 1 && next && (
        <InlineSelect
          label="Line with prices of its own"
          value=""
          toChoose="a line with prices of its own"
          choices={free.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) =>
            onChange([...prices, { lineId: id as LineId, rent: card.rent, perMinuteIn: card.perMinuteIn }])
          }
        />
      )}
    </>
  );
}
