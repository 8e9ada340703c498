import { Text } from '@chakra-ui/react';
import type { Sheet, VoiceId } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { voiceChoices, voiceName } from '../../parts/voiceChoices';

/** Which voice says a sheet, and so in which language it is. */
export function SheetVoice({ sheet }: { readonly sheet: Sheet }) {
  const { attendant, edit } = useDraft();
  return (
    <Text fontSize="13px" color="quiet">
      Spoken by{' '}
      <InlineSelect
        label={`Voice of ${sheet.name}`}
        value={sheet.voice ?? 'script'}
        choices={[{ value: 'script', label: `the script’s voice (${voiceName(attendant.voice)})` }, ...voiceChoices]}
        onChange={(value) =>
          edit({ type: 'setSheetVoice', sheetId: sheet.id, voice: value === 'script' ? null : (value as VoiceId) })
        }
      />
    </Text>
  );
}
