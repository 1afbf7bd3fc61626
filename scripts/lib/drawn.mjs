// Which changes of a large tree are tried: a share of them, drawn by where they stand, so that a score can be had in minutes.
import { createHash } from 'node:crypto';
import path from 'node:path';
import process from 'node:process';

/** Whether a change is among the share (SHARE, all when it is not set) that is tried: the same SEED draws the same ones. */
export function isDrawn({ fileName, location, mutatorName, replacement }) {
  const share = Number(process.env.SHARE ?? 1);
  if (share >= 1) return true;
  const file = fileName.slice(fileName.lastIndexOf(`${path.sep}src${path.sep}`) + 1);
  const { start, end } = location;
  const at = [file, start.line, start.column, end.line, end.column, mutatorName, replacement];
  const sum = createHash('sha1')
    .update(`${process.env.SEED ?? 1} ${at.join(' ')}`)
    .digest();
  return sum.readUInt32BE(0) / 2 ** 32 < share;
}
