import config from './jest.config.mjs';

/** Only the computation and its own tests: what screens say of it is looked at elsewhere. */
export default async function mutationConfig() {
  return { ...(await config()), roots: ['<rootDir>/src/core'] };
}
