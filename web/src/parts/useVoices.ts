import { shippedVoices, voiceNameOf, type OwnVoice, type VoiceId, type VoiceName } from '@locutor/core/line';
import useSWR from 'swr';
import { api } from '../api/client';

/** A voice of the business's own, and whether its pace and pitch can be changed. */
export interface FoundVoice {
  readonly voice: OwnVoice;
  readonly pace: boolean;
  readonly pitch: boolean;
}

export interface VoicesFound {
  readonly folder: string | null;
  readonly voices: readonly FoundVoice[];
  readonly troubles: readonly { readonly folder: string; readonly says: string }[];
}

const voicesPath = '/api/voices';

/** The voices of the business's own; undefined until they are known. */
export function useOwnVoices(): VoicesFound | undefined {
  return useSWR<VoicesFound>(voicesPath, api).data;
}

/** Every voice that can be chosen: the shipped ones, then those of the business's own. */
export function useVoices(): readonly VoiceName[] {
  const own = useOwnVoices();
  return [...shippedVoices, ...(own?.voices ?? []).map(({ voice }) => voice)];
}

/** What of a voice can be changed. A voice that is shipped can be changed in both. */
export function useCanTune(voice: VoiceId): { readonly pace: boolean; readonly pitch: boolean } {
  const own = useOwnVoices()?.voices.find((each) => each.voice === voiceNameOf(voice));
  const isShipped = (shippedVoices as readonly VoiceName[]).includes(voiceNameOf(voice));
  return isShipped ? { pace: true, pitch: true } : { pace: own?.pace ?? false, pitch: own?.pitch ?? false };
}
