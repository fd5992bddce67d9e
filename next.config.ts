import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  reactCompiler: { compilationMode: 'annotation' },
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  distDir: process.env.NEXT_DIST_DIR ?? '.next',
  serverExternalPackages: ['pg', 'joi', 'pdfmake', 'piscina'],
};

export default config;
