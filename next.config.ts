import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  experimental: { optimizePackageImports: ['@chakra-ui/react', 'lucide-react', 'recharts'] },
};

export default config;
