import { randomUUID } from 'node:crypto';
import { createSerwistRoute } from '@serwist/turbopack';
import nextConfig from '../../../../next.config';

/** The service worker and the list of all that it keeps, made with the build. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute(
  {
    swSrc: 'src/workers/offline.ts',
    useNativeEsbuild: true,
    nextConfig,
    globPatterns: ['.next/static/**/*.{js,css,woff,woff2,ttf}', 'public/**/*'],
    additionalPrecacheEntries: ['/', '/manifest.webmanifest'].map((url) => ({
      url,
      revision: randomUUID(),
    })),
  },
);
