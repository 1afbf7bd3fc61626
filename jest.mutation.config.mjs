import process from 'node:process';
import config from './jest.config.mjs';

/** Only the tests of the folder that is changed, `FOLDER`: what a neighbour happens to notice is no test of it. */
export default async function mutationConfig() {
  const folder = process.env.FOLDER ?? '';
  return { ...(await config()), roots: [`<rootDir>/src/core/${folder}`] };
}
