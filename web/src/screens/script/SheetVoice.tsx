import { Text } from '@chakra-ui/react';
import type { SheetId, VoiceId } from '@locutor/core/line';
import { memo } from 'react';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { voiceChoices, voiceName } from '../../parts/voiceChoices';

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
      Spoken by{' '}
      <InlineSelect
        label={`Voice of ${name}`}
        value={voice ?? 'script'}
        choices={[{ value: 'script', label: `the script’s voice (${voiceName(ofScript)})` }, ...voiceChoices]}
        onChange={(value) =>
          edit({ type: 'setSheetVoice', sheetId: id, voice: value === 'script' ? null : (value as VoiceId) })
        }
      />
    </Text>
  );
});
