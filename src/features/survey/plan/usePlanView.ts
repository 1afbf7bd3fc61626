'use client';
import { useGesture } from '@use-gesture/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { snap, type Point } from '@/core/geometry';
import { useSurvey } from '../SurveyContext';
import {
  fitView,
  gridStepM,
  toPlan,
  toScreen,
  zoomAbout,
  type Plan,
  type Size,
  type View,
} from './planView';

const HEIGHT = 410;
const REACH_PX = 9;

/**
 * The view of the plan: it follows what is drawn until it is zoomed or moved, and stays as it is
 * while something is dragged.
 * @param shown points that the view should hold @param catching points that catch others
 */
export function usePlanView(
  shown: readonly Point[],
  catching: readonly Point[],
  snapping: boolean,
) {
  const { format } = useSurvey();
  const box = useRef<HTMLDivElement>(null);
  const [svg, setSvg] = useState<SVGSVGElement | null>(null);
  const [width, setWidth] = useState(640);
  const [own, setOwn] = useState<View | null>(null);
  const [held, setHeld] = useState<View | null>(null);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(280, Math.round(entry.contentRect.width)));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const size = useMemo<Size>(() => ({ width, height: HEIGHT }), [width]);
  const fitted = useMemo(() => fitView(shown, size), [shown, size]);
  const view = own ?? held ?? fitted;
  const plan = useMemo<Plan>(() => {
    const gridM = gridStepM(view.scale, format.units);
    const fromClient = (x: number, y: number): Point => {
      const rect = svg?.getBoundingClientRect();
      return toPlan(view, size, [x - (rect?.left ?? 0), y - (rect?.top ?? 0)]);
    };
    return {
      view,
      size,
      gridM,
      fromClient,
      onScreen: (p) => toScreen(view, size, p),
      caught: (at, anchors, but) => {
        if (!snapping) return at;
        const others = catching.filter(
          (p) => !but || Math.hypot(p[0] - but[0], p[1] - but[1]) > 1e-9,
        );
        return snap(at, { gridM, points: others, anchors, reachM: REACH_PX / view.scale }).at;
      },
      hold: (dragging) => setHeld(dragging ? view : null),
    };
  }, [view, size, svg, format.units, snapping, catching]);

  const place = (x: number, y: number): Point => {
    const rect = svg?.getBoundingClientRect();
    return [x - (rect?.left ?? 0), y - (rect?.top ?? 0)];
  };
  useGesture(
    {
      onDrag: ({ delta: [dx, dy], event, pinching, cancel, first }) => {
        const target = event.target as Element;
        if (pinching || (first && target.closest('.plan-point'))) return cancel();
        setOwn({
          scale: view.scale,
          middle: [view.middle[0] - dx / view.scale, view.middle[1] + dy / view.scale],
        });
      },
      onWheel: ({ event, delta: [, dy] }) => {
        // A plain wheel scrolls the page, as everywhere.
        if (!event.ctrlKey && !event.metaKey) return;
        event.preventDefault();
        setOwn(zoomAbout(view, size, place(event.clientX, event.clientY), Math.exp(-dy / 400)));
      },
      onPinch: ({ origin: [x, y], offset: [scale], memo }) => {
        const before = (memo as number | undefined) ?? scale;
        setOwn(zoomAbout(view, size, place(x, y), scale / before));
        return scale;
      },
    },
    {
      target: useMemo(() => ({ current: svg }), [svg]),
      eventOptions: { passive: false },
      drag: { filterTaps: true, threshold: 4, pointer: { keys: false } },
    },
  );
  const zoom = (factor: number) =>
    setOwn(zoomAbout(view, size, [size.width / 2, size.height / 2], factor));
  return { plan, box, setSvg, zoom, fit: () => setOwn(null) };
}
