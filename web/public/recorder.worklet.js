const usualBlockSamples = 4096;

/** Hands the microphone's samples to the page in blocks: some twelve a second unless other ones are asked for. */
class Recorder extends AudioWorkletProcessor {
  filled = 0;

  constructor({ processorOptions }) {
    super();
    this.block = new Float32Array(processorOptions?.blockSamples ?? usualBlockSamples);
  }

  process(inputs) {
    const channel = inputs[0]?.[0];
    if (!channel) return true;
    this.block.set(channel, this.filled);
    this.filled += channel.length;
    if (this.filled + channel.length > this.block.length) {
      this.port.postMessage(this.block.slice(0, this.filled));
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('recorder', Recorder);
