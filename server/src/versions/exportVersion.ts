import { attendantJsonSchema, type Line } from '@locutor/core/line';
import type { AudioStore } from '../audio/audioStore';
import type { AudioId } from '../audio/audioId';
import type { Reckoning } from '../reckoning/reckoning.module';
import type { WholeVersion } from './versions.service';

/**
 * A version with all it needs, as a zip: `version.json`, the JSON Schema of its attendant, and the recordings it is
 * heard from as WAV files (G.711 mu-law, 8 kHz) named by their ids.
 */
export async function exportVersion(
  line: Line,
  version: WholeVersion,
  audio: AudioStore,
  reckoning: Reckoning,
): Promise<Uint8Array> {
  const { id, name, number, timeZone, serviceFrom, serviceUntil, emergencyAddress } = line;
  const about = { id, name, number, timeZone, serviceFrom, serviceUntil, emergencyAddress };
  const json = { format: 'locutor-version', formatVersion: 1, line: about, ...version };
  const files: Record<string, string> = {};
  for (const { id: takeId, audioId } of version.takes) {
    files[`audio/${takeId.replace(':', '-')}.wav`] = await audio.pathOfKept(audioId as AudioId);
  }
  const texts = {
    'version.json': JSON.stringify(json, null, 2),
    'attendant.schema.json': JSON.stringify(attendantJsonSchema(), null, 2),
  };
  return reckoning.of('zip', { texts, files });
}
