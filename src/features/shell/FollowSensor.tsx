'use client';
import { useEffect, useRef } from 'react';
import { simulatedSensor } from '@/devices/roomSensor';
import { useAct } from '@/data/hooks';
import { takeReading } from '@/data/repos/room';
import { sensorNow, tellSensor } from '@/features/common/sensorState';
import type { RoomSensorChoice } from '@/records';

/** A reading of a device goes into the record no oftener than this, ms. */
const KEEP_MS = 60_000;
const HOUR_MS = 3_600_000;

const hourOfDay = (nowMs: number): number => {
  const midnight = new Date(nowMs).setHours(0, 0, 0, 0);
  return Math.min(23.99, (nowMs - midnight) / HOUR_MS);
};

/** Follows the sensor of the room while the shop is open: its readings go into the record. */
export function FollowSensor({ choice }: { choice: RoomSensorChoice }) {
  const act = useAct();
  const { weather, hoursPerMinute } = choice;
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  }, [act]);
  useEffect(() => {
    const sensor = simulatedSensor(weather, hourOfDay(Date.now()), hoursPerMinute);
    let keptMs = -Infinity;
    tellSensor({ name: sensor.name, reached: false, last: null });
    const end = sensor.follow({
      onReached: (reached) =>
        tellSensor({ ...{ name: sensor.name, last: null }, ...sensorNow(), reached }),
      onReading: (reading) => {
        const atMs = Date.now();
        tellSensor({ name: sensor.name, reached: true, last: { atMs, reading } });
        // A clock that was set back keeps again.
        if (atMs - keptMs < KEEP_MS && atMs >= keptMs) return;
        keptMs = atMs;
        const source = { how: 'simulated', by: sensor.name, coatId: null, out: false } as const;
        void latest.current('keep a reading of the sensor', (db, c) =>
          takeReading(db, c, { atMs, ...reading, source }),
        );
      },
    });
    return () => {
      end();
      tellSensor(null);
    };
  }, [weather, hoursPerMinute]);
  return null;
}
