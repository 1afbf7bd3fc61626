import { lineSplitter, readScaleLine, type ScaleLine } from './scaleLine';
import type { Pan } from './simulatedScale';

/** Told while a scale is followed. */
export interface ScaleWatch {
  readonly onLine: (line: ScaleLine) => void;
  /** It is not reached any more. */
  readonly onLost: () => void;
}

/** A device that weighs, ten times a second. */
export interface Scale {
  readonly name: string;
  /** Shown wherever its readings are shown, and written into the log. */
  readonly simulated: boolean;
  /** @returns ends it */
  readonly follow: (watch: ScaleWatch) => () => void;
}

/** The simulated scale with the hand that pours: it stands in for both. */
export interface SimulatedScale extends Scale {
  /** Pours so much in a second, kg; less than nothing takes off; 0 stops. */
  readonly pour: (flowKgS: number) => void;
  /** Puts so much on an empty pan, kg. */
  readonly put: (loadKg: number) => void;
  /** Pulls its plug, or puts it in again. */
  readonly plug: (inIt: boolean) => void;
}

/** What lies on the invented pan lies there after a reload as well, as on a true one. */
const PAN = 'bilamina-simulated-pan';
function keptLoad(): number {
  try {
    const kg = Number(sessionStorage.getItem(PAN) ?? 0);
    return kg >= -1 && kg <= 6 ? kg : 0;
  } catch {
    return 0;
  }
}
function keepLoad(kg: number): void {
  try {
    sessionStorage.setItem(PAN, String(kg));
  } catch {
    // Without storage the pan is empty after a reload.
  }
}

/** Stands in for a scale: an invented pan that this server plays. */
export function simulatedScale(stepKg: number): SimulatedScale {
  let pan: Pan = { loadKg: keptLoad(), flowKgS: 0, stepKg };
  let source: EventSource | null = null;
  let watch: ScaleWatch | null = null;
  let lastKg = pan.loadKg;
  const close = () => {
    source?.close();
    source = null;
  };
  const open = () => {
    close();
    if (!watch) return;
    const { onLine, onLost } = watch;
    const asked = new URLSearchParams({
      load: pan.loadKg.toFixed(5),
      flow: String(pan.flowKgS),
      step: String(stepKg),
    });
    const mine = new EventSource(`/api/scale?${asked.toString()}`);
    source = mine;
    mine.onmessage = ({ data }: MessageEvent<string>) => {
      const line = readScaleLine(data);
      if (!line || source !== mine) return;
      if (line.is === 'weight') {
        lastKg = line.kg;
        keepLoad(lastKg);
      }
      onLine(line);
      if (line.is === 'off') close();
    };
    mine.onerror = () => {
      if (source !== mine) return;
      close();
      onLost();
    };
  };
  const set = (next: Partial<Pan>) => {
    pan = { ...pan, ...next };
    if (!source) return;
    // Until it is heard of anew nothing of it is steady.
    watch?.onLine({ is: 'weight', kg: lastKg, steady: false });
    open();
  };
  return {
    ...{ name: 'simulated scale', simulated: true },
    follow: (told) => {
      watch = told;
      open();
      return () => {
        watch = null;
        close();
      };
    },
    pour: (flowKgS) => set({ loadKg: lastKg, flowKgS }),
    put: (loadKg) => {
      lastKg = loadKg;
      set({ loadKg, flowKgS: 0 });
    },
    plug: (inIt) => {
      pan = { ...pan, loadKg: lastKg, flowKgS: 0 };
      if (inIt) return open();
      close();
      watch?.onLost();
    },
  };
}

/** A port as far as a scale needs it; the browser's own, or one of a test. */
export interface Port {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
}
type WithSerial = Navigator & {
  readonly serial?: {
    readonly getPorts: () => Promise<readonly Port[]>;
    readonly requestPort: () => Promise<Port>;
  };
};

/** The browser can reach a serial port. */
export const canSerial = (): boolean => 'serial' in navigator;
/** Asks which port it is: the browser remembers it. Rejects when nobody chooses. */
export const choosePort = async (): Promise<void> => {
  await (navigator as WithSerial).serial?.requestPort();
};

/** Reads until it ends or is told to. */
async function readPort(
  port: Port,
  baudRate: number,
  onPiece: (piece: string) => void,
  signal: AbortSignal,
): Promise<void> {
  await port.open({ baudRate });
  const reader = port.readable?.getReader();
  const stop = () => void reader?.cancel();
  signal.addEventListener('abort', stop);
  if (signal.aborted) stop();
  const decoder = new TextDecoder('ascii');
  try {
    for (;;) {
      const read = await reader?.read();
      if (!read || read.done) return;
      onPiece(decoder.decode(read.value, { stream: true }));
    }
  } finally {
    signal.removeEventListener('abort', stop);
    reader?.releaseLock();
    await port.close();
  }
}

/** The port that was chosen before. */
const chosenPort = async (): Promise<Port | null> =>
  (await (navigator as WithSerial).serial?.getPorts())?.[0] ?? null;

/** A scale on a serial port that speaks our lines. */
export const serialScale = (baud: number, portOf = chosenPort): Scale => ({
  ...{ name: 'scale on a serial port', simulated: false },
  follow: ({ onLine, onLost }) => {
    const stop = new AbortController();
    const { signal } = stop;
    const take = lineSplitter((text) => {
      const line = readScaleLine(text);
      if (line && !signal.aborted) onLine(line);
    });
    const read = async () => {
      const port = await portOf();
      if (port && !signal.aborted) await readPort(port, baud, take, signal);
    };
    const lost = () => {
      if (!signal.aborted) onLost();
    };
    read().then(lost, lost);
    return () => stop.abort();
  },
});
