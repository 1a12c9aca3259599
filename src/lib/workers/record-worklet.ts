/** What the sound thread of a browser offers a module in it; the types of the page do not know it. */
declare abstract class AudioWorkletProcessor {
  readonly port: MessagePort;
  abstract process(inputs: Float32Array[][]): boolean;
}
declare function registerProcessor(name: string, made: new () => AudioWorkletProcessor): void;

/** Hands on every block of sound that comes in, channel by channel, as it is. */
class Recorder extends AudioWorkletProcessor {
  override process([input]: Float32Array[][]): boolean {
    if (input && input.length > 0) this.port.postMessage(input.map((channel) => channel.slice()));
    return true;
  }
}
registerProcessor('recorder', Recorder);
