import { Text } from '@chakra-ui/react';
import { tunedVoice, tuningLimits, tuningOf, voiceNameOf, type VoiceId, type VoiceName } from '@locutor/core/line';
import { InlineNumber } from './InlineNumber';
import { InlineSelect } from './InlineSelect';
import { voiceChoices } from './voiceChoices';

interface Props {
  /** Whose voice it is, for screen readers. */
  readonly of: string;
  readonly voice: VoiceId;
  readonly onChange: (voice: VoiceId) => void;
}

/** Which voice speaks, how fast and how high. */
export function VoiceField({ of, voice, onChange }: Props) {
  const name = voiceNameOf(voice);
  const tuning = tuningOf(voice);
  return (
    <Text as="span">
      Spoken by{' '}
      <InlineSelect
        label={`Voice of ${of}`}
        value={name}
        choices={voiceChoices}
        onChange={(next) => onChange(tunedVoice(next as VoiceName, tuning))}
      />
      , pace{' '}
      <InlineNumber
        label={`Pace of ${of} in percent`}
        value={tuning.pace}
        {...tuningLimits.pace}
        step={5}
        onChange={(pace) => onChange(tunedVoice(name, { ...tuning, pace }))}
      />{' '}
      %, pitch{' '}
      <InlineSelect
        label={`Pitch of ${of}`}
        value={String(tuning.pitch)}
        choices={pitches}
        onChange={(pitch) => onChange(tunedVoice(name, { ...tuning, pitch: Number(pitch) }))}
      />
    </Text>
  );
}

const pitches = Array.from({ length: tuningLimits.pitch.most - tuningLimits.pitch.least + 1 }, (_, index) => {
  const pitch = tuningLimits.pitch.most - index;
  const label = pitch === 0 ? 'as it is' : pitch > 0 ? `${pitch} higher` : `${-pitch} lower`;
  return { value: String(pitch), label };
});
