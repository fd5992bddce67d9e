import { useSyncExternalStore } from 'react';
import {
  hasSerial,
  type InstrumentState,
  instrumentState,
  noInstruments,
  watchInstruments,
} from './instruments';

/** What this device hears of its instruments. */
export const useInstruments = (): InstrumentState =>
  useSyncExternalStore(watchInstruments, instrumentState, noInstruments);

const never = () => () => undefined;
const none = () => false;

/** Whether the browser has serial ports; none as long as the page is the server's. */
export const useSerial = (): boolean => useSyncExternalStore(never, hasSerial, none);
