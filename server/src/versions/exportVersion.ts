import { strToU8, zipSync } from 'fflate';
import { attendantJsonSchema, type Line } from '@locutor/core/line';
import type { AudioStore } from '../audio/audioStore';
import type { AudioId } from '../audio/audioId';
import type { WholeVersion } from './versions.service';

/**
 * A version with all it needs, as a zip: `version.json`, the JSON Schema of its attendant, and the recordings it is
 * heard from as WAV files (G.711 mu-law, 8 kHz) named by their ids.
 */
export async function exportVersion(line: Line, version: WholeVersion, audio: AudioStore): Promise<Uint8Array> {
  const { id, name, number, timeZone, serviceFrom, serviceUntil, emergencyAddress } = line;
  const about = { id, name, number, timeZone, serviceFrom, serviceUntil, emergencyAddress };
  const json = { format: 'locutor-version', formatVersion: 1, line: about, ...version };
  const files: Record<string, Uint8Array> = {
    'version.json': strToU8(JSON.stringify(json, null, 2)),
    'attendant.schema.json': strToU8(JSON.stringify(attendantJsonSchema(), null, 2)),
  };
  for (const take of version.takes) {
    files[`audio/${take.id.replace(':', '-')}.wav`] = await audio.read(take.audioId as AudioId);
  }
  // Recordings are compressed already.
  return zipSync(files, { level: 6 });
}
