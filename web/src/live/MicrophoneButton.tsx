import { Box, Button, Text } from '@chakra-ui/react';
import { Mic, MicOff } from 'lucide-react';
import type { MicrophoneState } from './voice';

interface Props {
  readonly state: MicrophoneState;
  readonly onTurn: (isOn: boolean) => Promise<void>;
}

/** Lets one's own voice be heard by whoever is talked to, or no longer. */
export function MicrophoneButton({ state, onTurn }: Props) {
  const isOn = state === 'on';
  return (
    <Box>
      <Button size="xs" variant="outline" bg="sheet" aria-pressed={isOn} onClick={() => void onTurn(!isOn)}>
        {isOn ? <Mic size={13} aria-hidden /> : <MicOff size={13} aria-hidden />}
        {isOn ? 'Your voice is heard' : 'Speak with your voice'}
      </Button>
      {state === 'refused' && (
        <Text fontSize="12.5px" role="status">
          No microphone can be used here; they will hear silence.
        </Text>
      )}
    </Box>
  );
}
