import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Actor } from '@/contract/actor';
import type { Db } from '@/data/open-db';
import { listAccountSessions, addAccountSession } from '@/data/queries/accounts';
import { setPutAway } from '@/data/queries/put-away';
import { addCover } from '@/data/queries/care';
import { addTrainer, changePassphrase, endAccount, endDevice, loadPeople } from '@/server/accounts';
import { backUpNow, loadRecords, restoreBackup } from '@/server/backups';
import { endCoverOf, giveClient, loadCare } from '@/server/care';
import { printCard, printDayCards, printSessionCards } from '@/server/card';
import { loadChanges, loadHistory } from '@/server/changes';
import { loadChoosing } from '@/server/choosing';
import { toLocalDay } from '@/server/clock';
import { loadClientWeek } from '@/server/client-week';
import { loadClient, loadClients, saveClientForm } from '@/server/clients';
import { loadFloor } from '@/server/floor';
import { floorSessions } from '@/server/floor-sessions';
import { loadKitSheet } from '@/server/kit';
import { listLedgers, loadLedger } from '@/server/ledger';
import { loadCourse } from '@/server/movement-course';
import { loadMeasuringGuide } from '@/server/measuring-guide';
import { listPlanChoices, planToday } from '@/server/plan';
import { keepClientPractice, loadClientPractice, loadOwnPractice } from '@/server/practice';
import { changeItem, moveToStation, pinItem, skipItem, takeItemOut } from '@/server/planned-items';
import { loadProposing, putProposed } from '@/server/propose';
import { endTurns, takeTurns } from '@/server/turns';
import { loadPutAway, putAway } from '@/server/put-away';
import { loadHandOver, loadSummary } from '@/server/papers';
import {
  reachClientsOf,
  reachItem,
  reachSession,
  reachSessionsOf,
  reachSessionsWith,
  reachTogether,
} from '@/server/reach';
import { recordEvents } from '@/server/record-events';
import { askedSession, loadSessionPlan, orderSession } from '@/server/session-plan';
import { callOffSession, finishSession, makeSession, moveSession } from '@/server/sessions';
import { eraseClientForGood } from '@/server/erase';
import { writeRecords, writeTable } from '@/server/records-flow';
import { saveScreening } from '@/server/screening';
import { loadSet } from '@/server/set';
import { loadSetup } from '@/server/setup';
import { keepTemplate } from '@/server/templates';
import { sessionTitle } from '@/server/titles';
import { PLAN_REFUSAL } from '@/messages/plan';
import type { SaveResult } from '@/contract/save-result';
import { endSharing, loadTogether, shareSession, togetherChoice } from '@/server/together';
import { findSession, setTogether } from '@/data/queries/sessions';
import { findStandIns } from '@/server/wanted';
import { loadWeek } from '@/server/week';
import type { UseCase } from '@/server/use-case';
import { DEMO_OWNER, DEMO_TRAINER } from '../demo/people';
import { CLIENT } from './support/forms';
import { asOwner, at, NOW, world } from './support/world';

const ITEM = 'anselm-2026-11-24-0';
const RELIEF: Actor = { id: 'relief', name: 'Tindra Asante-Rowe', role: 'trainer' };
const tap = (atMs = NOW) => ({
  kind: 'rep',
  id: `tap-${atMs}`,
  deviceId: 'd',
  actorId: 'x',
  seq: 1,
  atMs,
  clientId: 'anselm',
  itemId: ITEM,
  movement: 'cable-fly-level',
  setId: 's',
  rep: 1,
});
const took = (uc: UseCase, event: object): boolean => {
  const r = recordEvents(uc, { events: [event] });
  return r.ok && r.reply.kept.length === 1;
};
const hasAnselm = (all: readonly { readonly id?: string; readonly value?: string; readonly clientId?: string }[]) =>
  all.some((c) => [c.id, c.value, c.clientId].includes('anselm'));
const PLAN = {
  ...{ clientId: 'anselm', movement: 'dumbbell-row-one-arm', side: 'right', sets: 3, reps: 12, tempo: '3-1-2-1' },
  ...{ load: 10, unit: 'kg', startsAt: '10:00' },
};

const isTold = (r: SaveResult, message: string): boolean => !r.ok && r.issues[0]!.message === message;
const SESSION = {
  ...{ clientId: 'anselm', gymId: '', day: '2026-11-24', startsAt: '18:00', minutes: 60 },
  ...{ from: 'empty', fromId: '', leaveOut: false },
};

/** Everything that shows or changes a client, each answering whether it did for who asks. */
const OF_A_CLIENT: Readonly<Record<string, (uc: UseCase) => boolean | Promise<boolean>>> = {
  'clients.loadClients': (uc) => hasAnselm(loadClients(uc)),
  'clients.loadClient': (uc) => loadClient(uc, 'anselm') !== null,
  'clients.saveClientForm': (uc) => saveClientForm(uc, 'anselm', CLIENT).ok,
  'put-away.putAway': (uc) => putAway(uc, 'client', 'anselm', true).ok,
  'put-away.loadPutAway': (uc) => {
    setPutAway(uc.db, 'client', 'anselm', NOW);
    return loadPutAway(uc, ['client']).some((t) => t.id === 'anselm');
  },
  'screening.saveScreening': (uc) =>
    saveScreening(uc, 'anselm', { day: '2026-11-20', doneBy: 'desk', procedure: 'form' }).ok,
  'floor.loadFloor': (uc) => hasAnselm(loadFloor(uc).sessions),
  'setup.loadSetup': (uc) => loadSetup(uc, ITEM) !== null,
  'set.loadSet': (uc) => loadSet(uc, ITEM) !== null,
  'card.printCard': async (uc) => (await printCard(uc, ITEM, 'http://here')).ok,
  'card.printSessionCards': async (uc) =>
    (await printSessionCards(uc, ITEM.replace(/-0$/, ''), 'http://here')) !== null,
  'card.printDayCards': async (uc) => (await printDayCards(uc, '2026-11-24', 'http://here')) !== null,
  'ledger.listLedgers': (uc) => hasAnselm(listLedgers(uc)),
  'movement-course.loadCourse': (uc) => loadCourse(uc, 'anselm', 'cable-fly-level', false) !== null,
  'ledger.loadLedger': (uc) => loadLedger(uc, 'anselm') !== null,
  'measuring-guide.loadMeasuringGuide': (uc) => loadMeasuringGuide(uc, 'anselm').setups > 0,
  'choosing.loadChoosing': (uc) => loadChoosing(uc, { client: 'anselm' }).clientId === 'anselm',
  'kit.loadKitSheet': (uc) => hasAnselm(loadKitSheet(uc, null)!.clients),
  'plan.listPlanChoices': (uc) => hasAnselm(listPlanChoices(uc).clients),
  'plan.planToday': (uc) => planToday(uc, PLAN).ok,
  'sessions.makeSession': (uc) => makeSession(uc, SESSION).ok,
  'sessions.moveSession': (uc) => moveSession(uc, 'anselm-2026-11-24', SESSION).ok,
  'sessions.finishSession': (uc) => finishSession(uc, 'anselm-2026-11-24', true).ok,
  'sessions.callOffSession': (uc) => callOffSession(uc, 'anselm-2026-11-24', true).ok,
  'planned-items.changeItem': (uc) =>
    changeItem(uc, [ITEM], { sets: 2, reps: 9, tempo: '3-1-2-1', load: 15, unit: 'kg' }).ok,
  'planned-items.moveToStation': (uc) => moveToStation(uc, [ITEM], 'short-pair').ok,
  'planned-items.pinItem': (uc) => pinItem(uc, [ITEM], true).ok,
  'planned-items.skipItem': (uc) => skipItem(uc, [ITEM], 'no time').ok,
  // Who may is told what speaks against it; to nobody else the movement is there at all.
  'turns.takeTurns': (uc) => isTold(takeTurns(uc, ITEM, ITEM), PLAN_REFUSAL.noTurns),
  'practice.loadClientPractice': (uc) => loadClientPractice(uc, 'anselm') !== null,
  'practice.loadOwnPractice': (uc) => hasAnselm(loadOwnPractice(uc, undefined).clients),
  'practice.keepClientPractice': (uc) => keepClientPractice(uc, 'anselm', { question: 'kickbacks', side: '' }).ok,
  'turns.endTurns': (uc) => endTurns(uc, ITEM).ok,
  'propose.loadProposing': (uc) => loadProposing(uc, 'anselm-2026-11-24') !== null,
  'propose.putProposed': (uc) =>
    putProposed(uc, 'anselm-2026-11-24', {
      goals: ['mid-back'],
      movements: [{ movement: 'dumbbell-row-one-arm', sets: 3, reps: 12 }],
    }).ok,
  'together.togetherChoice': (uc) => togetherChoice(uc, 'anselm-2026-11-24') !== null,
  'together.endSharing': (uc) => endSharing(uc, 'anselm-2026-11-24').ok,
  'planned-items.takeItemOut': (uc) => takeItemOut(uc, [ITEM], true).ok,
  'templates.keepTemplate': (uc) => keepTemplate(uc, 'anselm-2026-11-24', { name: 'N', forAll: true }).ok,
  'client-week.loadClientWeek': (uc) => loadClientWeek(uc, 'anselm', undefined) !== null,
  'wanted.findStandIns': (uc) => findStandIns(uc, 'anselm-2026-11-24').ok,
  'week.loadWeek': (uc) => loadWeek(uc, '2026-11-24').days.some((d) => d.sessions.length > 0),
  'floor-sessions.floorSessions': (uc) => floorSessions(uc).length > 0,
  'session-plan.askedSession': (uc) => askedSession(uc, { day: undefined, from: 'anselm-2026-11-24' }).isAsked,
  'record-events.recordEvents': (uc) => took(uc, tap()),
  'session-plan.loadSessionPlan': (uc) => loadSessionPlan(uc, 'anselm-2026-11-24') !== null,
  'session-plan.orderSession': (uc) => {
    const items = reachSession({ ...uc, actor: DEMO_OWNER }, 'anselm-2026-11-24')!.items.map((i) => i.id);
    return orderSession(uc, 'anselm-2026-11-24', items).ok;
  },
  'papers.loadHandOver': (uc) => loadHandOver(uc, 'anselm') !== null,
  'papers.loadSummary': (uc) => loadSummary(uc, 'anselm-2026-11-24') !== null,
  'reach.reachSession': (uc) => reachSession(uc, 'anselm-2026-11-24') !== null,
  'titles.sessionTitle': (uc) => /Anselm/.test(sessionTitle(uc, 'anselm-2026-11-24', 'Session')),
  'reach.reachClientsOf': (uc) => reachClientsOf(uc, ['anselm']).has('anselm'),
  'reach.reachItem': (uc) => reachItem(uc, ITEM) !== null,
  'reach.reachSessionsOf': (uc) => reachSessionsOf(uc, 'anselm', 9).length > 0,
  'reach.reachSessionsWith': (uc) => reachSessionsWith(uc, 'anselm', [ITEM]).length > 0,
  'records-flow.writeRecords': (uc) => writeRecords(uc, 'anselm') !== null,
  'care.loadCare': (uc) => loadCare(uc, 'anselm') !== null,
  'changes.loadHistory': (uc) => loadHistory(uc, 'anselm').length > 0,
};
/** What is of two clients, and only of who sees both. */
const OF_TWO: typeof OF_A_CLIENT = {
  'together.shareSession': (uc) => shareSession(uc, 'anselm-2026-11-24', 'sefina').ok,
  'together.loadTogether': (uc) => {
    setTogether(uc.db, ['anselm-2026-11-24', 'sefina-2026-11-24'], 'both');
    return loadTogether(uc, 'anselm-2026-11-24') !== null;
  },
  'reach.reachTogether': (uc) => {
    setTogether(uc.db, ['anselm-2026-11-24', 'sefina-2026-11-24'], 'both');
    return reachTogether(uc, findSession(uc.db, 'anselm-2026-11-24')!) !== null;
  },
};
/** What only who gives a client away may do. */
const GIVING: typeof OF_A_CLIENT = {
  'care.giveClient': (uc) => giveClient(uc, 'anselm', { accountId: 'owner', until: '2026-12-01' }).ok,
  'care.endCoverOf': (uc) => endCoverOf(uc, 'anselm', 'cover').ok,
};
/** What only the owner may do. */
const OWNERS: typeof OF_A_CLIENT = {
  'accounts.loadPeople': (uc) => loadPeople(uc) !== null,
  'accounts.addTrainer': async (uc) => (await addTrainer(uc, { name: 'New', passphrase: 'nine kettles in a row' })).ok,
  'accounts.endAccount': (uc) => endAccount(uc, 'relief', true).ok,
  'accounts.changePassphrase': async (uc) =>
    (await changePassphrase(uc, 'keyed', { current: '', passphrase: 'nine kettles in a row' })).ok,
  'accounts.endDevice': (uc) => endDevice(uc, listAccountSessions(uc.db, 'keyed')[0]!.id).ok,
  'backups.loadRecords': (uc) => loadRecords(uc, null) !== null,
  'changes.loadChanges': (uc) => loadChanges(uc, null) !== null,
  'erase.eraseClientForGood': (uc) => eraseClientForGood(uc, 'anselm', 'Anselm Okparaeke').ok,
  'records-flow.writeTable': (uc) => writeTable(uc, 'sets') !== null,
};

function gym(): Db {
  const db = world();
  // Somebody whose passphrase and device are theirs and nobody else's of those who ask.
  db.prepare("INSERT INTO account (id, name, role, passphrase_hash) VALUES ('keyed', 'K', 'trainer', 'x')").run();
  addAccountSession(db, { id: 'of-keyed', accountId: 'keyed', device: 'Tablet', tokenHash: 'h' }, NOW);
  return db;
}
const today = toLocalDay(NOW);
const cover = (db: Db, fromDay: number, untilDay: number): void =>
  addCover(db, { id: 'cover', clientId: 'anselm', accountId: 'relief', fromDay, untilDay });

describe('who sees and changes what', () => {
  const matrix = (of: typeof OF_A_CLIENT, may: Readonly<Record<string, boolean>>) =>
    Object.entries(of).flatMap(([name, does]) =>
      Object.entries(may).map(([who, allowed]) => [name, who, allowed, does] as const),
    );
  const WHO: Readonly<Record<string, (db: Db) => UseCase>> = {
    owner: asOwner,
    'own trainer': (db) => at(db),
    'stands in': (db) => at(db, NOW, RELIEF),
    'another trainer': (db) => at(db, NOW, { ...RELIEF, id: 'keyed' }),
  };
  it.each([
    ...matrix(OF_A_CLIENT, { owner: true, 'own trainer': true, 'stands in': true, 'another trainer': false }),
    ...matrix(OF_TWO, { owner: true, 'own trainer': true, 'stands in': false, 'another trainer': false }),
    ...matrix(GIVING, { owner: true, 'own trainer': true, 'stands in': false, 'another trainer': false }),
    ...matrix(OWNERS, { owner: true, 'own trainer': false, 'stands in': false }),
  ])('%s, %s: %s', async (_, who, allowed, does) => {
    const db = gym();
    cover(db, today, today + 3);
    expect(await does(WHO[who]!(db))).toBe(allowed);
  });
  it('backing up and restoring are the owner’s', async () => {
    const uc = at(gym());
    expect([(await backUpNow(uc)).ok, (await restoreBackup(uc, 'x')).ok]).toEqual([false, false]);
  });
  it('names every use case that takes a client or is the owner’s: a new one is in the matrix or says why not', () => {
    const COVERED = [
      ...Object.keys(OF_TWO),
      ...Object.keys(OF_A_CLIENT),
      ...Object.keys(GIVING),
      ...Object.keys(OWNERS),
    ];
    const ELSEWHERE = [
      // Of who asks alone, or of kit and movements that everybody shares.
      ...[
        'accounts.choosePin',
        'accounts.loadAccount',
        'practice.keepOwnPractice',
        'kit.loadKit',
        'kit.savePieceForm',
        'kit.saveGymForm',
      ],
      ...['variants.keepVariant', 'clients.loadNewClient', 'spotting.loadSpotting', 'spotting.keepSpotting'],
      // One's own programs: tested with their calls.
      ...['tokens.loadTokens', 'tokens.makeToken', 'tokens.endToken'],
      // Tested above and at the door.
      ...[
        'backups.backUpNow',
        'backups.restoreBackup',
        'records-flow.lookAtRecords',
        'records-flow.takeRecords',
        'spreadsheets.openSheet',
        'first-steps.loadFirstSteps',
        'first-steps.skipStep',
        'starter-kit.addStarterKit',
        // Tested with traces.
        'traces.writeTrace',
        'kit.gymOfKit',
        'spreadsheets.matchSheet',
        'spreadsheets.lookAtSheet',
        'deliveries.answerDelivery',
        'deliveries.takeDelivery',
      ],
      ...['event-line.openLine', 'reach.reaches', 'reach.handsOver', 'reach.reachClient', 'reach.reachClients'],
      // Counts over all clients, without names.
      'what-works.loadWhatWorks',
      // Times and stations without names; what is open of whose clients is tested with the floor.
      ...['reach.othersOnFloor', 'day-sessions.othersSessions', 'reach.reachOpenSets'],
      // Called with what was reached before.
      ...[
        'client-week.countedIn',
        'client-week.countWeek',
        'client-week.usedIn',
        'sessions.keepMade',
        'changes.keepChanges',
      ],
      ...['day-sessions.progressIn', 'day-sessions.daySessions', 'day-sessions.otherOrder'],
      ...['item-context.loadItem', 'item-context.toContext', 'limits.limitsToday'],
      ...['screening.loadScreening', 'settings.findSettings', 'solved.solveOnce'],
      ...['choosing.choosingFor', 'learned-items.learnItem', 'learned-items.learnItems', 'plan.findLoad'],
      // Of one's own clients: tested with calendars.
      ...['calendar.writeCalendar', 'calendar.previewCalendar', 'calendar.takeCalendar'],
      ...['change-times.changeTimesAt', 'change-times.listChangeTimes', 'change-times.saveChangeTimes'],
      ...['wanted.wantedOnFloor', 'wanted.wantedOf', 'client-week.saveWeekRules', 'week.weekOf'],
      // Of movements without a client; who may drop one is tested with sessions.
      ...['templates.reachTemplates', 'templates.dropTemplateOf', 'templates.mayDrop'],
      ...['floor-items.floorItems', 'planned-stamp.stampOfPlanned', 'solved.practicesOnce'],
      ...['setup-book.loadSetupBook', 'reach.reachSessions', 'onward.inTurnsWith', 'onward.nextOf', 'onward.partnerOf'],
      // Titles find what they name through reach.
      ...['titles.itemTitle', 'titles.clientTitle', 'titles.pieceTitle'],
    ];
    const folder = join(process.cwd(), 'src/server');
    const found = readdirSync(folder).flatMap((file) => {
      const text = readFileSync(join(folder, file), 'utf8');
      const names = text.matchAll(
        /export (?:async )?(?:function (\w+)\(|const (\w+) = (?:async )?\()\s*(?:\{[^}]*\}|\w+): (?:Pick<)?UseCase/g,
      );
      return [...names].map((m) => `${file.replace('.ts', '')}.${m[1] ?? m[2]}`);
    });
    expect(found.length).toBeGreaterThan(30);
    expect(found.filter((name) => ![...COVERED, ...ELSEWHERE].includes(name))).toEqual([]);
  });
  it('every action of a page asks who is signed in, or is one of those at the door', () => {
    const AT_DOOR = ['createOwner', 'signIn', 'signInToDemo', 'unlock', 'signOut'].map((name) => `${name}Action`);
    const actions = ['actions.ts', 'account-actions.ts', 'plan-actions.ts'].flatMap((file) => {
      const text = readFileSync(join(process.cwd(), 'src/app', file), 'utf8');
      return [...text.matchAll(/export async function (\w+)[\s\S]*?\n}\n/g)].map(
        ([body, name]) => [name!, body] as const,
      );
    });
    expect(actions.length).toBeGreaterThan(15);
    const open = actions.filter(([, body]) => !/acting\(\s*\[/.test(body)).map(([name]) => name);
    expect(open.sort()).toEqual(AT_DOOR.sort());
  });
  it('clients, sessions and planned movements are found in one place', () => {
    const folder = join(process.cwd(), 'src/server');
    const FINDERS = /\b(findClient|listClients|findItem|findSession|listSessions|listSessionsOf|listSessionsWith)\b/;
    const users = readdirSync(folder).filter((file) => FINDERS.test(readFileSync(join(folder, file), 'utf8')));
    // A sheet that is saved must know whether the id is taken.
    expect(users.sort()).toEqual(['clients.ts', 'reach.ts']);
  });
});

describe('cover', () => {
  const relief = (db: Db, nowMs = NOW) => at(db, nowMs, RELIEF);
  it('lasts to the end of its last day; a tap made under it is kept however late it comes', () => {
    const db = gym();
    cover(db, today, today);
    const tomorrow = NOW + 86_400_000;
    expect([loadClient(relief(db), 'anselm') !== null, loadClient(relief(db, tomorrow), 'anselm')]).toEqual([
      true,
      null,
    ]);
    expect(took(relief(db, tomorrow), tap(NOW))).toBe(true);
    expect(took(relief(db, tomorrow), tap(tomorrow))).toBe(false);
  });
  it('called off it ends at once; a client given away is the other one’s alone', () => {
    const db = gym();
    cover(db, today, today + 7);
    endCoverOf(at(db), 'anselm', 'cover');
    expect(loadClient(relief(db), 'anselm')).toBeNull();
    expect(giveClient(at(db), 'anselm', { accountId: 'relief', until: null })).toEqual({ ok: true, id: '' });
    expect([loadClient(relief(db), 'anselm') !== null, loadClient(at(db), 'anselm')]).toEqual([true, null]);
    expect(
      loadHistory(asOwner(db), 'anselm')
        .slice(0, 2)
        .map((c) => [c.who, c.what, c.before, c.after]),
    ).toEqual([
      [DEMO_TRAINER.name, 'Trainer', DEMO_TRAINER.name, RELIEF.name],
      [DEMO_TRAINER.name, 'Stands in', `${RELIEF.name}, 1 Dec 2026`, 'ended'],
    ]);
  });
  it.each([
    ['nobody', '2026-12-01', 'accountId'],
    ['relief', '2026-11-01', 'until'],
    ['relief', 'soon', 'until'],
  ])('to %s until %s is told at its field', (accountId, until, path) =>
    expect(giveClient(asOwner(gym()), 'anselm', { accountId, until })).toMatchObject({ ok: false, issues: [{ path }] }),
  );
  it('a tap for a client of one’s own on a planned movement of somebody else’s is refused', () => {
    const db = gym();
    expect(took(at(db), { ...tap(), itemId: 'sefina-2026-11-24-0' })).toBe(false);
  });
});

it('who changed which limit, note and measure is on record, and what went has ended', () => {
  const db = world();
  const limit = { subject: 'load-in-hand', side: 'both', most: 8, setBy: 'GP', from: '2026-11-01', until: '' };
  const form = {
    ...CLIENT,
    notes: ['shoulder'],
    limits: [limit],
    measuredCm: { ...CLIENT.measuredCm, shoulderHeight: 140 },
  };
  const made = saveClientForm(at(db), null, form);
  const id = made.ok ? made.id : '';
  saveClientForm(asOwner(db), id, { ...form, notes: [], limits: [], measuredCm: CLIENT.measuredCm });
  const told = loadHistory(at(db), id).map((c) => [c.who, c.what, c.before, c.after]);
  expect(told).toContainEqual([
    DEMO_OWNER.name,
    'Clinician’s limit',
    'Load in the hand: at most 8 kg, set by GP, from 2026-11-01',
    'ended',
  ]);
  expect(told).toContainEqual([DEMO_OWNER.name, 'Observation', 'Shoulder', 'ended']);
  expect(told.find(([, what]) => what === 'Shoulder')).toEqual([DEMO_OWNER.name, 'Shoulder', '140 cm', 'ended']);
  expect(told.at(-1)!.slice(0, 2)).toEqual([DEMO_TRAINER.name, 'Client']);
  expect(() => db.prepare('DELETE FROM change').run()).toThrow('append-only');
  expect(() => db.prepare("UPDATE change SET actor_id = 'x'").run()).toThrow('append-only');
});
