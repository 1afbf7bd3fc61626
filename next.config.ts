import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // `npm run types` checks types, for core under its own rules as well; building does not repeat it.
  typescript: { ignoreBuildErrors: true },
  experimental: { optimizePackageImports: ['@chakra-ui/react', 'lucide-react', 'recharts'] },
};

export default config;
