import { Box, Text } from '@chakra-ui/react';
import {
  costlyKinds,
  countries,
  mostOutgoingAtOnce,
  type CostlyKind,
  type Country,
  type OutgoingLimits,
} from '@locutor/core/directory';
import { Chosen } from '../../parts/Chosen';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { useCountry } from '../../parts/useCountry';

interface Props {
  readonly limits: OutgoingLimits;
  readonly onChange: (limits: OutgoingLimits) => void;
}

const kindWords: Readonly<Record<CostlyKind, string>> = {
  premium: 'Premium rate numbers',
  sharedCost: 'Shared cost numbers',
  satellite: 'Satellite phones and international networks',
};
const countryNames = new Intl.DisplayNames('en', { type: 'region' });
const nameOf = (country: Country): string => countryNames.of(country) ?? country;
const byName = [...countries].sort((one, other) => nameOf(one).localeCompare(nameOf(other), 'en'));

/** What outside numbers the script, transfers and colleagues’ outside phones may call. */
export function OutgoingCalls({ limits, onChange }: Props) {
  const home = useCountry();
  const allow = (kind: CostlyKind, may: boolean): void => {
    const kinds = costlyKinds.filter((each) => (each === kind ? may : limits.kinds.includes(each)));
    onChange({ ...limits, kinds });
  };
  return (
    <>
      <Text color="quiet" mb="2">
        Ordinary numbers can be called. These can cost a lot, and are called only where you allow it:
      </Text>
      {costlyKinds.map((kind) => (
        <Box key={kind} asChild display="block" minH="24px">
          <label>
            <input
              type="checkbox"
              checked={limits.kinds.includes(kind)}
              onChange={(event) => allow(kind, event.currentTarget.checked)}
            />{' '}
            {kindWords[kind]}
          </label>
        </Box>
      ))}
      <Box mt="2">
        Numbers of{' '}
        <InlineSelect
          label="Countries that may be called"
          value={limits.countries ? 'some' : 'all'}
          choices={[
            { value: 'all', label: 'every country' },
            { value: 'some', label: 'these countries only' },
          ]}
          onChange={(value) => onChange({ ...limits, countries: value === 'all' ? null : home ? [home] : [] })}
        />
        {limits.countries && (
          <Chosen
            chosen={limits.countries}
            all={byName}
            nameOf={nameOf}
            label="Country to add"
            toAdd="add a country"
            none="None yet: no outside number is called."
            onChange={(chosen) => onChange({ ...limits, countries: chosen })}
          />
        )}
      </Box>
      <Box mt="2">
        At most{' '}
        <InlineNumber
          label="Outside phones at once"
          value={limits.mostAtOnce}
          least={1}
          most={mostOutgoingAtOnce}
          onChange={(mostAtOnce) => onChange({ ...limits, mostAtOnce })}
        />{' '}
        outside phones ring or talk at once; further ones are passed over until one is free.
      </Box>
    </>
  );
}
