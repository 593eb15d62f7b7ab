import 'server-only';

/** What the server's own process needs beside Next: bundled by scripts/build-door.mjs. */
export { takeDelivery } from './deliveries';
export { LINE, openLine } from './event-line';
export { closeRecords, keepBackups, openRecords } from './records-file';
export { allowedHosts, headersOf, refusalOf } from './web-guard';
export { portTaken } from '@/messages/database';
