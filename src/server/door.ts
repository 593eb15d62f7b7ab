import 'server-only';

/** What the server's own process needs beside Next: bundled by scripts/build-door.mjs. */
export { takeCases, takeDelivery } from './deliveries';
export { LINE, openLine } from './event-line';
export { gateOf } from './gate';
export { closeRecords, keepBackups, keepFolding, keepTidy, openRecords } from './records-file';
export { readServing } from './serving';
export { toUseCase } from './signed-in-use-case';
export { answerWatch, watchCall } from './watch';
export { headersOf, refusalOf } from './web-guard';
export { portTaken } from '@/messages/database';
export { NOT_NOW } from '@/messages/web';
