import { format } from 'date-fns';
import workletAddress from '../workers/record-worklet?worker&url';
import { askProof } from '../workers/connect-proof';

/** Longer than this no take is that only proves a place. */
export const MOST_RECORDED_S = 120;

/** Nothing between the microphone and the file: what telephones do to a voice would be measured with it. */
const AS_IT_IS = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };

/** Why a device did not come, in a sentence. */
function refusalWords(error: unknown, what: string): string {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError')
    return `The browser was not allowed to use the ${what}. Allow it beside the address of this page, and press again.`;
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return `No ${what} is connected. Plug one in, or bring a file.`;
  if (name === 'NotReadableError')
    return `Another program holds the ${what}. Close it there, and press again.`;
  return `The ${what} did not start. Bring a file instead.`;
}

/** The time of day, as a file may be named by it. */
const now = (): string => format(new Date(), 'HH.mm.ss');

function letGoOf(stream: MediaStream | undefined): void {
  for (const track of stream?.getTracks() ?? []) track.stop();
}

/** The microphone of this machine, asked for when a take is made with it and let go right after. */
export class LiveMicrophone {
  /** Seconds recorded so far; nothing while none is. */
  seconds = $state<number | undefined>(undefined);
  /** The highest sample of the last moment, of full scale. */
  level = $state(0);
  failure = $state('');
  #stream: MediaStream | undefined;
  #context: AudioContext | undefined;
  #blocks: Float32Array[][] = [];
  #frames = 0;
  /** Which beginning is meant: somebody may have left while the browser still asked. */
  #turn = 0;

  static isOffered(): boolean {
    return (
      typeof navigator !== 'undefined' &&
      'mediaDevices' in navigator &&
      typeof AudioWorkletNode !== 'undefined'
    );
  }

  /** @param onfull is told when the longest take is reached */
  async start(onfull: () => void): Promise<void> {
    this.failure = '';
    this.#blocks = [];
    this.#frames = 0;
    const turn = ++this.#turn;
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: AS_IT_IS });
      if (turn !== this.#turn) return letGoOf(stream);
      this.#stream = stream;
      this.#context = new AudioContext();
      await this.#context.audioWorklet.addModule(workletAddress);
      if (turn !== this.#turn) return;
      const recorder = new AudioWorkletNode(this.#context, 'recorder');
      const { sampleRate } = this.#context;
      recorder.port.onmessage = ({ data }: MessageEvent<Float32Array[]>) => {
        if (this.seconds === undefined) return;
        this.#blocks.push(data);
        this.#frames += data[0]!.length;
        this.seconds = this.#frames / sampleRate;
        let most = 0;
        for (const sample of data[0]!) most = Math.max(most, Math.abs(sample));
        this.level = Math.max(most, this.level * 0.95);
        if (this.seconds >= MOST_RECORDED_S) onfull();
      };
      this.#context.createMediaStreamSource(this.#stream).connect(recorder);
      this.seconds = 0;
    } catch (error) {
      if (turn !== this.#turn) return;
      this.failure = refusalWords(error, 'microphone');
      this.letGo();
    }
  }

  /** Ends the take. @returns it as a WAV file; nothing where no sound came */
  async stop(): Promise<File | undefined> {
    const sampleRate = this.#context?.sampleRate ?? 0;
    const blocks = this.#blocks;
    this.letGo();
    if (blocks.length === 0) {
      this.failure = 'No sound came from the microphone. Is another one chosen in the browser?';
      return undefined;
    }
    const count = Math.min(...blocks.map((block) => block.length));
    const channels = Array.from({ length: count }, (_, channel) => {
      const whole = new Float32Array(
        blocks.reduce((sum, block) => sum + block[channel]!.length, 0)
      );
      let place = 0;
      for (const block of blocks) {
        whole.set(block[channel]!, place);
        place += block[channel]!.length;
      }
      return whole;
    });
    const blob = await askProof((work) => work.writeWav({ channels, sampleRate }));
    return new File([blob], `Recorded ${now()}.wav`, { type: 'audio/wav' });
  }

  letGo(): void {
    this.#turn += 1;
    letGoOf(this.#stream);
    void this.#context?.close().catch(() => undefined);
    this.#stream = undefined;
    this.#context = undefined;
    this.#blocks = [];
    this.seconds = undefined;
    this.level = 0;
  }
}

/** The camera of this machine, open while its picture is shown. */
export class LiveCamera {
  stream = $state.raw<MediaStream | undefined>(undefined);
  failure = $state('');
  #turn = 0;

  static isOffered(): boolean {
    return typeof navigator !== 'undefined' && 'mediaDevices' in navigator;
  }

  async open(): Promise<void> {
    this.failure = '';
    const turn = ++this.#turn;
    try {
      const stream = await navigator.mediaDevices.getUserMedia({
        video: { width: { ideal: 1920 }, height: { ideal: 1080 } }
      });
      if (turn === this.#turn) this.stream = stream;
      else letGoOf(stream);
    } catch (error) {
      if (turn === this.#turn) this.failure = refusalWords(error, 'camera');
    }
  }

  /** The picture as it is shown now, as PNG. */
  async still(shown: HTMLVideoElement): Promise<File | undefined> {
    const { videoWidth: width, videoHeight: height } = shown;
    if (width === 0) {
      this.failure = 'The camera shows nothing yet. Wait a moment, and press again.';
      return undefined;
    }
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.drawImage(shown, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/png' });
    return new File([blob], `Still ${now()}.png`, { type: 'image/png' });
  }

  close(): void {
    this.#turn += 1;
    letGoOf(this.stream);
    this.stream = undefined;
  }
}
