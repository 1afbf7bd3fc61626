'use client';
import { useRead, type LiveRead } from '@/data/hooks';
import type { LogEntry } from '@/records/types';

/** The whole log, newest first. */
export const useLog = (): LiveRead<readonly LogEntry[]> =>
  useRead((db) => db.log.orderBy('seq').reverse().toArray(), 'log');
