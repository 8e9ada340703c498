const blockSamples = 4096;

/** Hands the microphone's samples to the page, some twelve times a second. */
class Recorder extends AudioWorkletProcessor {
  block = new Float32Array(blockSamples);
  filled = 0;

  process(inputs) {
    const channel = inputs[0]?.[0];
    if (!channel) return true;
    this.block.set(channel, this.filled);
    this.filled += channel.length;
    if (this.filled + channel.length > blockSamples) {
      this.port.postMessage(this.block.slice(0, this.filled));
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('recorder', Recorder);
