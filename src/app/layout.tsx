import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-700.css';
import '@fontsource/spline-sans-mono/latin-400.css';
import '@fontsource/spline-sans-mono/latin-600.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { Shell } from '@/features/shell';
import { Providers } from '@/ui/Providers';

export const metadata: Metadata = {
  title: 'Bilamina',
  icons: '/icon.svg',
  description: 'Bench-side planner, calculator and logbook for resin finishing.',
};
export const viewport: Viewport = { themeColor: '#f7f2e8', width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Every request gets its own nonce, so no page may be made ahead of time.
  await connection();
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <html lang="en">
      <body>
        <Providers nonce={nonce}>
          <Shell>{children}</Shell>
        </Providers>
      </body>
    </html>
  );
}
