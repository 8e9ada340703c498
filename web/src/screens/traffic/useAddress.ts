import { useSearchParams } from 'react-router';

/** Changes of an address: null takes a part away. */
export type AddressChanges = Readonly<Record<string, string | null>>;

/** What stands in the address, and how it is changed. */
export function useAddress(): readonly [URLSearchParams, (changes: AddressChanges) => void] {
  const [address, setAddress] = useSearchParams();
  const change = (changes: AddressChanges): void => {
    // The address itself, not what was last drawn of it: another change may just have been made.
    const next = new URLSearchParams(window.location.search);
    for (const [key, value] of Object.entries(changes)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    setAddress(next);
  };
  return [address, change];
}
