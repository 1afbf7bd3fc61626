import type { MetadataRoute } from 'next';

const png = (size: number, purpose: 'any' | 'maskable') =>
  ({
    src: `/icons/${purpose}-${size}.png`,
    sizes: `${size}x${size}`,
    type: 'image/png',
    purpose,
  }) as const;

/** What an installed Bilamina is called and looks like. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Bilamina',
    short_name: 'Bilamina',
    description: 'Bench-side planner, calculator and logbook for resin finishing.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#f7f2e8',
    theme_color: '#f7f2e8',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      png(192, 'any'),
      png(512, 'any'),
      png(512, 'maskable'),
    ],
    shortcuts: [
      { name: 'New piece', url: '/pieces/new' },
      { name: 'Room', url: '/room' },
    ],
  };
}
