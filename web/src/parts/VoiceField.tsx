import { Text } from '@chakra-ui/react';
import { tunedVoice, tuningLimits, tuningOf, voiceNameOf, type VoiceId, type VoiceName } from '@locutor/core/line';
import { InlineNumber } from './InlineNumber';
import { InlineSelect, type Choice } from './InlineSelect';
import { useCanTune, useVoices } from './useVoices';
import { voiceChoice } from './voiceChoices';

interface Props {
  /** Whose voice it is, for screen readers. */
  readonly of: string;
  /** Null for the voice that `inherited` names. */
  readonly voice: VoiceId | null;
  /** What having no voice of its own is called; left out where there must be one. */
  readonly inherited?: string;
  readonly onChange: (voice: VoiceId | null) => void;
}

const inheritedValue = 'inherited';

/** Which voice speaks, how fast and how high. */
export function VoiceField({ of, voice, inherited, onChange }: Props) {
  const voices = useVoices();
  const name = voice && voiceNameOf(voice);
  // One that is gone still stands where it was chosen.
  const names = name && !voices.includes(name) ? [...voices, name] : voices;
  const choices: readonly Choice[] = [
    ...(inherited ? [{ value: inheritedValue, label: inherited }] : []),
    ...names.map(voiceChoice),
  ];
  const choose = (value: string): void =>
    onChange(value === inheritedValue ? null : tunedVoice(value as VoiceName, tuningOf(voice ?? 'slt')));
  return (
    <Text as="span">
      Spoken by{' '}
      <InlineSelect label={`Voice of ${of}`} value={name ?? inheritedValue} choices={choices} onChange={choose} />
      {voice && <Tuned of={of} voice={voice} onChange={onChange} />}
    </Text>
  );
}

function Tuned({ of, voice, onChange }: Pick<Props, 'of' | 'onChange'> & { readonly voice: VoiceId }) {
  const name = voiceNameOf(voice);
  const tuning = tuningOf(voice);
  const can = useCanTune(voice);
  return (
    <>
      {can.pace && (
        <>
          , pace{' '}
          <InlineNumber
            label={`Pace of ${of} in percent`}
            value={tuning.pace}
            {...tuningLimits.pace}
            step={5}
            onChange={(pace) => onChange(tunedVoice(name, { ...tuning, pace }))}
          />{' '}
          %
        </>
      )}
      {can.pitch && (
        <>
          , pitch{' '}
          <InlineSelect
            label={`Pitch of ${of}`}
            value={String(tuning.pitch)}
            choices={pitches}
            onChange={(pitch) => onChange(tunedVoice(name, { ...tuning, pitch: Number(pitch) }))}
          />
        </>
      )}
    </>
  );
}

const pitches = Array.from({ length: tuningLimits.pitch.most - tuningLimits.pitch.least + 1 }, (_, index) => {
  const pitch = tuningLimits.pitch.most - index;
  const label = pitch === 0 ? 'as it is' : pitch > 0 ? `${pitch} higher` : `${-pitch} lower`;
  return { value: String(pitch), label };
});
