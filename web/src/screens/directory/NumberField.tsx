import { Input, Text } from '@chakra-ui/react';
import { exampleNumber, hasLostZero, readPhoneNumber, showPhoneNumber } from '@locutor/core/directory';
import { useState } from 'react';
import { useCountry } from '../../parts/useCountry';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** Told the number as E.164, or an empty text; what is no number yet is kept to the field. */
  readonly onChange: (number: string) => void;
}

/** A telephone number typed in a sentence or a cell; taken once it is one. */
export function NumberField({ label, value, placeholder, onChange }: Props) {
  const country = useCountry();
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? (value ? showPhoneNumber(value) : '');
  const read = readPhoneNumber(text, country);
  const number = read.ok ? read.value : null;
  const isRight = text.trim() === '' || read.ok;
  const take = (next: string): void => {
    setTyped(next);
    const taken = readPhoneNumber(next, country);
    if (next.trim() === '') onChange('');
    else if (taken.ok) onChange(taken.value);
  };
  return (
    <>
      <Input
        aria-label={label}
        aria-invalid={!isRight}
        value={text}
        placeholder={placeholder ?? exampleNumber(country)}
        maxLength={24}
        inputMode="tel"
        onChange={(event) => take(event.currentTarget.value)}
        onBlur={() => isRight && setTyped(null)}
        fontFamily="mono"
        fontSize="13px"
        h="26px"
        px="1"
        w="auto"
        minW="130px"
        css={{ fieldSizing: 'content' }}
        border="0"
        borderBottomWidth="1px"
        borderStyle="dashed"
        borderColor="petrol.emphasized"
        borderRadius="2px"
        bg="transparent"
      />
      {isRight && number !== null && showPhoneNumber(number) !== text.trim() && (
        <Text as="span" fontSize="13px" color="quiet" role="status">
          {' '}
          {showPhoneNumber(number)}
          {hasLostZero(text, country) && ', its first 0 was missing'}
        </Text>
      )}
      {!isRight && (
        <Text as="span" fontSize="13px" role="status">
          {' '}
          not a telephone number yet; type it like {exampleNumber(country)}
        </Text>
      )}
    </>
  );
}
