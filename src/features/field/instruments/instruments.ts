import {
  type Heard,
  INSTRUMENTS_PORT,
  type InstrumentKind,
  type InstrumentReading,
  LineEar,
} from '@/core/physics/instruments/line';

export type Connected = 'off' | 'connecting' | 'on' | 'lost';

export interface InstrumentState {
  connected: Connected;
  /** The last reading of each device. */
  devices: ReadonlyMap<string, InstrumentReading>;
  /** Lines that told nothing, and the last of them. */
  badLines: number;
  lastBad?: string;
}

const OFF: InstrumentState = { connected: 'off', devices: new Map(), badLines: 0 };
const BAUD = 115_200;

/** A port as the browser's serial interface gives it. */
interface Port {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  requestPort(): Promise<Port>;
}

/** What this device hears of its instruments; one for all sheets, so that a connection outlives a sheet. */
let state = OFF;
/** What pages were shown last: readings come faster than a page should be drawn. */
let shown = OFF;
let due: ReturnType<typeof setTimeout> | undefined;
const SHOWN_EVERY_MS = 120;
let stop: (() => void) | undefined;
const watchers = new Set<() => void>();
const listeners = new Set<(reading: InstrumentReading) => void>();

export const instrumentState = (): InstrumentState => shown;
export const noInstruments = (): InstrumentState => OFF;
export function watchInstruments(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Every reading as it comes, until it is let be. */
export function listen(listener: (reading: InstrumentReading) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function become(next: Partial<InstrumentState>): void {
  const turned = next.connected !== undefined && next.connected !== state.connected;
  state = { ...state, ...next };
  if (turned) show();
  else due ??= setTimeout(show, SHOWN_EVERY_MS);
}

function show(): void {
  clearTimeout(due);
  due = undefined;
  shown = state;
  for (const watcher of watchers) watcher();
}

function take(heard: readonly Heard[]): void {
  if (heard.length === 0) return;
  const devices = new Map(state.devices);
  let { badLines, lastBad } = state;
  for (const one of heard) {
    if ('problem' in one) {
      badLines++;
      lastBad = one.line;
      continue;
    }
    devices.set(one.reading.device, one.reading);
  }
  become({ devices, badLines, ...(lastBad === undefined ? {} : { lastBad }) });
  for (const one of heard) if ('reading' in one) for (const listener of listeners) listener(one.reading);
}

/** Instruments that speak over a socket of this machine. */
export function connectSocket(): void {
  disconnect();
  become({ ...OFF, connected: 'connecting' });
  const ear = new LineEar();
  const socket = new WebSocket(`ws://127.0.0.1:${INSTRUMENTS_PORT}`);
  const end = () => socket.close();
  // what a connection that was given up still says is nobody's any more
  const isOurs = () => stop === end;
  stop = end;
  socket.onopen = () => isOurs() && become({ connected: 'on' });
  socket.onmessage = ({ data }) => isOurs() && take(ear.hear(String(data)));
  socket.onclose = () => {
    if (!isOurs()) return;
    stop = undefined;
    become({ connected: 'lost' });
  };
}

const serialOf = (): Serial | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as unknown as { serial?: Serial }).serial;
export const hasSerial = (): boolean => serialOf() !== undefined;

/** An instrument on a serial port that the builder chooses. */
export async function connectSerial(): Promise<void> {
  const serial = serialOf();
  if (!serial) return;
  disconnect();
  let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
  const end = () => void reader?.cancel().catch(() => undefined);
  const isOurs = () => stop === end;
  stop = end;
  become({ ...OFF, connected: 'connecting' });
  try {
    const port = await serial.requestPort();
    await port.open({ baudRate: BAUD });
    reader = port.readable!.getReader();
    if (isOurs()) become({ connected: 'on' });
    const ear = new LineEar();
    const decoder = new TextDecoder();
    while (isOurs()) {
      const { value, done } = await reader.read();
      if (done) break;
      if (isOurs()) take(ear.hear(decoder.decode(value, { stream: true })));
    }
    reader.releaseLock();
    await port.close().catch(() => undefined);
  } catch {
    // no port was chosen, or it was drawn out
  }
  if (!isOurs()) return;
  stop = undefined;
  become({ connected: 'lost' });
}

/** What was recorded of instruments, read as if it came now. */
export async function readFile(file: File): Promise<void> {
  disconnect();
  become({ ...OFF, connected: 'on' });
  take(new LineEar().hear(`${await file.text()}\n`));
}

export function disconnect(): void {
  const end = stop;
  stop = undefined;
  become(OFF);
  end?.();
}

/** Devices of a kind. */
export const devicesOf = ({ devices }: InstrumentState, kind: InstrumentKind): InstrumentReading[] =>
  [...devices.values()].filter((one) => one.kind === kind);

/** Whether a reading is of the device of its kind that is taken: the first that spoke. */
export const isFirst = ({ device, kind }: InstrumentReading): boolean =>
  (devicesOf(state, kind)[0]?.device ?? device) === device;
