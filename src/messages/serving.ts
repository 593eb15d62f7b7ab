/** How the server is started, where it is not as it should be. */
export const SERVING = {
  port: (got: string): string => `PORT is “${got}”: expected a whole number from 1 to 65535.`,
  host: (got: string): string => `JORVIX_HOST is “${got}”: expected an address of this machine, like 192.168.1.20.`,
  bothFiles: 'A certificate has two files: give JORVIX_CERT and JORVIX_KEY, or neither.',
  missingFile: (file: string): string => `There is no file ${file}. JORVIX_CERT and JORVIX_KEY name a certificate.`,
  demoAlone: 'The demo is entered with a tap, so it serves this machine alone. Leave JORVIX_HOST out.',
  ownerFirst:
    'Nobody is the owner yet. Start it once without JORVIX_HOST, open it on this machine and make the owner; then ' +
    'serve the gym’s network.',
  nameIt:
    'Say under which name the gym’s tablets open it, with its port, in JORVIX_HOSTS: for instance ' +
    'JORVIX_HOSTS=jorvix.lan:4310. Other names are not answered.',
  plain:
    'Careful: this is plain http. Whoever listens on the gym’s network reads health notes and sign-ins. Give a ' +
    'certificate (JORVIX_CERT, JORVIX_KEY), or put a proxy with TLS in front and say JORVIX_PROXY=yes. Without TLS ' +
    'the tablets keep no pages for when the network is gone.',
} as const;
