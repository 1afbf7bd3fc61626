import { useEffect, useRef, useState } from 'react';
import { flattenPath, shapePath, type Point } from '@/core/geometry';
import type { Break } from '@/core/inspect/photo';
import type { DefectKind } from '@/core/piece';
import { planBox } from '@/features/common/PlanPad';
import type { Area } from '@/records';
import { ComputeError, fileClient } from '@/workers/client';

/** A break that the photo shows, with what a hand would call it; nobody has taken it yet. */
export interface Proposal {
  readonly key: string;
  readonly found: Break;
  readonly kind: DefectKind;
  /** On the plan of the area, m. */
  readonly point: Point;
}

/** A face with more than this is grain, sand, or another picture: nothing is proposed. Judgement, no source. */
const MOST = 60;
const INSET: readonly Point[] = [
  [0.06, 0.06],
  [0.94, 0.06],
  [0.94, 0.94],
  [0.06, 0.94],
];
/** What a break is most often; the user says what it is. Common practice, no source. */
const USUAL: Readonly<Record<Break['shape'], DefectKind>> = {
  spot: 'bubbles',
  thread: 'dust nib',
  row: 'dust nib',
};

const LIMIT_MS = 60_000;

/** A photo in raking light, the corners of the face on it, and what is found: proposed, never pinned by itself. */
export function usePhotoAid(area: Area | undefined) {
  const [file, setFile] = useState<File | null>(null);
  const [url, setUrl] = useState<string | null>(null);
  const [corners, setCorners] = useState<readonly Point[]>(INSET);
  const [share, setShare] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const [proposals, setProposals] = useState<readonly Proposal[]>([]);
  const stop = useRef<AbortController | null>(null);
  useEffect(
    () => () => {
      stop.current?.abort();
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  const pick = (next: File | undefined) => {
    stop.current?.abort();
    setFile(next ?? null);
    setUrl(next ? URL.createObjectURL(next) : null);
    setCorners(INSET);
    setProposals([]);
    setSaid('');
  };
  const find = async () => {
    if (!file || !area) return;
    const box = planBox(area.shape);
    const outline = flattenPath(shapePath(area.shape), 2e-4, 2000).map(([x, y]): Point => [
      x - box.left,
      box.low + box.height - y,
    ]);
    stop.current = new AbortController();
    setShare(0);
    setSaid('');
    setProposals([]);
    try {
      const found = await fileClient().run(
        'findBreaks',
        { photo: file, corners, widthM: box.width, heightM: box.height, outline },
        { signal: stop.current.signal, onProgress: setShare, timeoutMs: LIMIT_MS },
      );
      if (found.length > MOST)
        setSaid(
          `${found.length} breaks: that is grain, sand or another picture. Nothing is proposed.`,
        );
      else if (found.length === 0) setSaid('The reflection is unbroken: nothing is proposed.');
      else {
        setSaid(`${found.length} proposed. Look at each: nothing is pinned by itself.`);
        setProposals(
          found.map((b, i) => ({
            ...{ key: `${i} ${b.at[0]}`, found: b, kind: USUAL[b.shape] },
            point: [box.left + b.at[0], box.low + box.height - b.at[1]],
          })),
        );
      }
    } catch (error) {
      if ((error as Error).name !== 'AbortError')
        setSaid(error instanceof ComputeError ? error.message : String(error));
    } finally {
      setShare(null);
    }
  };
  return {
    ...{ file, url, corners, setCorners, share, said, proposals, pick, find },
    stop: () => stop.current?.abort(),
    drop: (key: string) => setProposals((all) => all.filter((p) => p.key !== key)),
    rename: (key: string, kind: DefectKind) =>
      setProposals((all) => all.map((p) => (p.key === key ? { ...p, kind } : p))),
  };
}
export type PhotoAid = ReturnType<typeof usePhotoAid>;
