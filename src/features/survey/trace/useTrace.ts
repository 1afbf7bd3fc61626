'use client';
import { useEffect, useRef, useState } from 'react';
import { computeClient, type TraceAnswer } from '@/workers/client';
import { useFormat } from '@/features/common/useFormat';
import {
  readTrace,
  showPhoto,
  startMarks,
  traceTrouble,
  type ShownPhoto,
  type TraceDraft,
} from './traceModel';

const EMPTY: TraceDraft = {
  reference: 'a4',
  width: '',
  height: '',
  over: '0',
  corners: [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ],
  inside: [0, 0],
  outside: [],
  places: [],
  keepSize: false,
};

/** A photo, its marks, and the trace of it: running, done or refused. */
export function useTrace() {
  const format = useFormat();
  const [photo, setPhoto] = useState<ShownPhoto | null>(null);
  const [draft, setDraft] = useState<TraceDraft>(EMPTY);
  const [errors, setErrors] = useState<Readonly<Partial<Record<string, string>>>>({});
  const [trouble, setTrouble] = useState('');
  const [share, setShare] = useState<number | null>(null);
  const [answer, setAnswer] = useState<TraceAnswer | null>(null);
  const stop = useRef<AbortController | null>(null);
  const url = photo?.url;
  useEffect(
    () => () => {
      stop.current?.abort();
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  const pick = async (file: File | undefined) => {
    setTrouble('');
    if (!file) return;
    try {
      const shown = await showPhoto(file);
      setPhoto(shown);
      setAnswer(null);
      setDraft((d) => ({ ...d, ...startMarks(shown) }));
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  };
  const change = (next: Partial<TraceDraft>) => {
    setDraft((d) => ({ ...d, ...next }));
    setAnswer(null);
  };
  const trace = async () => {
    if (!photo) return;
    const read = readTrace(draft, format);
    setErrors(read.ok ? {} : read.errors);
    setTrouble(read.ok ? '' : (read.errors['corners'] ?? ''));
    if (!read.ok) return;
    stop.current = new AbortController();
    setShare(0);
    setAnswer(null);
    try {
      const found = await computeClient().run(
        'tracePhoto',
        {
          photo: photo.file,
          corners: draft.corners,
          reference: read.reference,
          inside: [draft.inside],
          outside: draft.outside,
          places: draft.places,
          referenceIsPiece: draft.reference === 'piece',
          heightM: read.heightM,
          keepSize: draft.keepSize,
        },
        { signal: stop.current.signal, onProgress: setShare, timeoutMs: 60_000 },
      );
      setAnswer(found);
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        setTrouble(traceTrouble(error));
    } finally {
      setShare(null);
    }
  };
  return {
    photo,
    draft,
    errors,
    trouble,
    share,
    answer,
    pick,
    change,
    trace,
    cancel: () => stop.current?.abort(),
  };
}
