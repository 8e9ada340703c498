import { Text } from '@chakra-ui/react';
import type { SheetId, VoiceId } from '@locutor/core/line';
import { memo } from 'react';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { VoiceField } from '../../parts/VoiceField';
import { voiceName } from '../../parts/voiceChoices';

interface Props {
  readonly id: SheetId;
  readonly name: string;
  readonly voice: VoiceId | null;
}

/** Which voice says a sheet, and so in which language it is. */
export const SheetVoice = memo(function SheetVoice({ id, name, voice }: Props) {
  const { edit } = useDraftTools();
  const ofScript = useAttendantPart((attendant) => attendant.voice);
  return (
    <Text fontSize="13px" color="quiet">
      <VoiceField
        of={name}
        voice={voice}
        inherited={`the script’s voice (${voiceName(ofScript)})`}
        onChange={(next) => edit({ type: 'setSheetVoice', sheetId: id, voice: next })}
      />
    </Text>
  );
});
