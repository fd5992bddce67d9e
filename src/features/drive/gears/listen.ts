const SAMPLES = 8192;
const EVERY_MS = 200;

/**
 * Tones heard by the microphone until it is stopped.
 *
 * @param toneOf Hz of a piece of sound, if it has any
 * @returns what stops it
 * @throws where the browser has no microphone or the user does not want it
 */
export async function listen(
  toneOf: (samples: Float32Array, rate: number) => Promise<{ hz?: number }>,
  onTone: (hz: number) => void,
): Promise<() => void> {
  const stream = await navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });
  const context = new AudioContext();
  const analyser = context.createAnalyser();
  analyser.fftSize = SAMPLES;
  context.createMediaStreamSource(stream).connect(analyser);
  const samples = new Float32Array(SAMPLES);
  let running = true;
  const hear = async () => {
    analyser.getFloatTimeDomainData(samples);
    const { hz } = await toneOf(samples, context.sampleRate);
    if (!running) return;
    if (hz !== undefined) onTone(Number(hz.toPrecision(4)));
    setTimeout(() => void hear(), EVERY_MS);
  };
  void hear();
  return () => {
    running = false;
    for (const track of stream.getTracks()) track.stop();
    void context.close();
  };
}
