/** The voices that the shipped speech synthesis has, and how they are described to the manager. */
export const voices = {
  slt: 'Woman, American',
  rms: 'Man, American',
  awb: 'Man, Scottish',
  kal16: 'Man, American, brisk',
} as const;

export type VoiceId = keyof typeof voices;

export const defaultVoice: VoiceId = 'slt';

export const voiceIds = Object.keys(voices) as VoiceId[];
