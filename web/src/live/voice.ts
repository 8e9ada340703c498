import { decodeMuLaw, encodeMuLaw, phoneRateHz } from '@locutor/core/audio';
import { voiceFrameBytes } from '@locutor/core/exchange';

const blockSamples = 384;
/** Voice is heard this much late, so that frames that come unevenly do not tear it. */
const jitterSeconds = 0.08;
const mostAheadSeconds = 0.4;

/** Whether one's own voice is heard. */
export type MicrophoneState = 'off' | 'on' | 'refused';

/** Both ways of a voice: the microphone as G.711 frames, and frames as sound. */
export class Voice {
  private context: AudioContext | null = null;
  private stopMicrophone: (() => void) | null = null;
  private nextAt = 0;
  private rest = new Float32Array();

  constructor(private readonly send: (frame: Uint8Array<ArrayBuffer>) => void) {}

  /** Lets one's own voice be heard, or no longer; tells what became of it. */
  async turn(isOn: boolean): Promise<MicrophoneState> {
    this.stopSpeaking();
    if (!isOn) return 'off';
    try {
      await this.speak();
      return 'on';
    } catch {
      return 'refused';
    }
  }

  /** Opens the microphone. @throws DOMException when there is none or it is refused. */
  private async speak(): Promise<void> {
    const context = this.opened();
    const stream = await navigator.mediaDevices.getUserMedia({ audio: { channelCount: 1, echoCancellation: true } });
    await context.audioWorklet.addModule('/recorder.worklet.js');
    const source = context.createMediaStreamSource(stream);
    const recorder = new AudioWorkletNode(context, 'recorder', {
      numberOfOutputs: 0,
      processorOptions: { blockSamples },
    });
    recorder.port.onmessage = ({ data }: MessageEvent<Float32Array<ArrayBuffer>>) => this.sendSamples(data);
    source.connect(recorder);
    this.stopMicrophone = () => {
      source.disconnect();
      recorder.port.onmessage = null;
      for (const track of stream.getTracks()) track.stop();
    };
  }

  private stopSpeaking(): void {
    this.stopMicrophone?.();
    this.stopMicrophone = null;
  }

  hear(frame: Uint8Array): void {
    const context = this.opened();
    const samples = decodeMuLaw(frame);
    const buffer = context.createBuffer(1, samples.length, phoneRateHz);
    buffer.copyToChannel(new Float32Array(samples), 0);
    const source = new AudioBufferSourceNode(context, { buffer });
    source.connect(context.destination);
    const earliest = context.currentTime + jitterSeconds;
    const isTooFar = this.nextAt > context.currentTime + mostAheadSeconds;
    this.nextAt = isTooFar || this.nextAt < context.currentTime ? earliest : this.nextAt;
    source.start(this.nextAt);
    this.nextAt += buffer.duration;
  }

  close(): void {
    this.stopSpeaking();
    void this.context?.close();
    this.context = null;
  }

  /** At the telephone's own rate, so that the browser resamples what the microphone gives. */
  private opened(): AudioContext {
    this.context ??= new AudioContext({ sampleRate: phoneRateHz });
    if (this.context.state === 'suspended') void this.context.resume();
    return this.context;
  }

  private sendSamples(samples: Float32Array<ArrayBuffer>): void {
    const all = new Float32Array(this.rest.length + samples.length);
    all.set(this.rest);
    all.set(samples, this.rest.length);
    let at = 0;
    for (; at + voiceFrameBytes <= all.length; at += voiceFrameBytes) {
      this.send(new Uint8Array(encodeMuLaw(all.subarray(at, at + voiceFrameBytes))));
    }
    this.rest = all.slice(at);
  }
}
