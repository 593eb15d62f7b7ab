import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'pdfkit'],
  devIndicators: false,
  poweredByHeader: false,
  // Solves are kept by the code that made them (src/server/solved): the build tells which that was.
  env: { JORVIX_SOLVER: process.env.JORVIX_SOLVER ?? '' },
  // Types are a check of their own (npm run check, npm test), so that a build does not go over them a second time.
  typescript: { ignoreBuildErrors: true },
};
export default config;
