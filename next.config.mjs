// In plain JavaScript, since a configuration in TypeScript would have every process of pages load the framework's
// compiler to read it.
/** @type {import('next').NextConfig} */
export default {
  serverExternalPackages: ['better-sqlite3', 'pdfkit'],
  devIndicators: false,
  poweredByHeader: false,
  // Solves are kept by the code that made them (src/server/solved): the build tells which that was.
  env: { JORVIX_SOLVER: process.env.JORVIX_SOLVER ?? '' },
  // Types are a check of their own (npm run check, npm test), so that a build does not go over them a second time.
  typescript: { ignoreBuildErrors: true },
  // A page's code is read when it is first asked for. All of it at the start would cost a second of it and memory.
  experimental: { preloadEntriesOnStart: false },
};
