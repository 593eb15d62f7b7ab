import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'pdfkit'],
  devIndicators: false,
  poweredByHeader: false,
};
export default config;
