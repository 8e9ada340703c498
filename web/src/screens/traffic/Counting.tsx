import { Text } from '@chakra-ui/react';
import { useUncounted } from '../../api/resources';

/** That the calls are being counted; how many are left where that takes a while, as after an upgrade. */
export function Counting() {
  const { data } = useUncounted();
  const left = data?.left ?? 0;
  return (
    <Text color="quiet" role="status">
      Counting the calls …{left > fewCalls ? ` ${left.toLocaleString()} are left.` : ''}
    </Text>
  );
}

/** So many are counted before anybody could read it. */
const fewCalls = 500;
