import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  // It answers on the machine it runs on: packing costs more there than it saves. A proxy packs for a network.
  compress: false,
  reactStrictMode: true,
  devIndicators: false,
  // `npm run types` checks types, for core under its own rules as well; building does not repeat it.
  typescript: { ignoreBuildErrors: true },
  // Browsers ask for it by themselves, whatever the page names.
  rewrites: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg' }]),
  experimental: { optimizePackageImports: ['@chakra-ui/react', 'lucide-react', 'recharts'] },
};

export default config;
