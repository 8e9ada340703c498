import { joinPcm, levelDb, type Pcm } from '@locutor/core/audio';
import { audioContext } from './sounds';

export interface Recording {
  /** Ends the recording and gives what was heard as a WAV file for the telephone. */
  finish(): Promise<Blob>;
  /** Ends the recording and gives what was heard as it is; null when nothing came. */
  stop(): Pcm | null;
  readonly discard: () => void;
}

export type MicrophoneProblem = 'refused' | 'missing';

export interface RecordingWatch {
  /** Level of the last moment, in dB relative to full scale. */
  readonly onLevel: (db: number) => void;
  readonly onProblem: (problem: MicrophoneProblem) => void;
}

/** Records the microphone; when there is none, silence as long as the recording lasts. */
export function record(watch: RecordingWatch): Recording {
  const context = audioContext();
  const startedAt = performance.now();
  const blocks: Pcm[] = [];
  let stop: () => void = () => undefined;
  let isOver = false;

  open(context, (samples) => {
    const block = { samples, rateHz: context.sampleRate };
    blocks.push(block);
    watch.onLevel(levelDb(block));
  }).then(
    (close) => (isOver ? close() : (stop = close)),
    (error: unknown) => watch.onProblem(problemOf(error)),
  );

  const end = (): Pcm | null => {
    isOver = true;
    stop();
    const heard = joinPcm(blocks, context.sampleRate);
    return heard.samples.length > 0 ? heard : null;
  };

  return {
    finish() {
      return toPhone(end() ?? silence(performance.now() - startedAt));
    },
    stop: end,
    discard: end,
  };
}

async function open(context: AudioContext, onBlock: (samples: Float32Array) => void): Promise<() => void> {
  const stream = await navigator.mediaDevices.getUserMedia({ audio: { channelCount: 1 } });
  await context.audioWorklet.addModule('/recorder.worklet.js');
  const source = context.createMediaStreamSource(stream);
  const recorder = new AudioWorkletNode(context, 'recorder', { numberOfOutputs: 0 });
  recorder.port.onmessage = ({ data }: MessageEvent<Float32Array>) => onBlock(data);
  source.connect(recorder);
  return () => {
    source.disconnect();
    recorder.port.onmessage = null;
    for (const track of stream.getTracks()) track.stop();
  };
}

function problemOf(error: unknown): MicrophoneProblem {
  return error instanceof DOMException && error.name === 'NotAllowedError' ? 'refused' : 'missing';
}

function silence(ms: number): Pcm {
  return { samples: new Float32Array(Math.max(1, Math.round(ms * 8))), rateHz: 8000 };
}

function toPhone(pcm: Pcm): Promise<Blob> {
  const worker = new Worker(new URL('../workers/phoneAudio.worker.ts', import.meta.url), { type: 'module' });
  return new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Uint8Array<ArrayBuffer>>) => {
      resolve(new Blob([data], { type: 'audio/wav' }));
      worker.terminate();
    };
    worker.onerror = () => reject(new Error('The message could not be made ready for the telephone.'));
    worker.postMessage(pcm);
  });
}
