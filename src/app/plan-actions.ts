'use server';
import type { SaveResult } from '@/contract/save-result';
import type { CalendarView, StandInColumn } from '@/contract/views/session-plan';
import { acting } from '@/server/open-use-case';
import { changeItem, moveToStation, pinItem, skipItem, takeItemOut } from '@/server/planned-items';
import { endSharing, shareSession } from '@/server/together';
import { endTurns, takeTurns } from '@/server/turns';
import { callOffSession, finishSession, makeSession, moveSession } from '@/server/sessions';
import { putProposed } from '@/server/propose';
import { previewCalendar, takeCalendar } from '@/server/calendar';
import { saveChangeTimes } from '@/server/change-times';
import { findStandIns } from '@/server/wanted';
import { saveWeekRules } from '@/server/client-week';
import { dropTemplateOf, keepTemplate } from '@/server/templates';
import { refreshed } from './refreshed';

export async function makeSessionAction(typed: unknown, key: string): Promise<SaveResult> {
  return refreshed(await acting([key], (uc) => makeSession(uc, typed, key)));
}

export async function moveSessionAction(id: string, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => moveSession(uc, id, typed)));
}

export async function finishSessionAction(id: string, finished: boolean): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => finishSession(uc, id, finished)));
}

export async function callOffSessionAction(id: string, off: boolean): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => callOffSession(uc, id, off)));
}

export async function changeItemAction(itemIds: unknown, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([itemIds].flat(), (uc) => changeItem(uc, itemIds, typed)));
}

export async function skipItemAction(itemIds: unknown, reason: unknown): Promise<SaveResult> {
  return refreshed(await acting([itemIds].flat(), (uc) => skipItem(uc, itemIds, reason)));
}

export async function takeItemOutAction(itemIds: unknown, out: boolean): Promise<SaveResult> {
  return refreshed(await acting([itemIds].flat(), (uc) => takeItemOut(uc, itemIds, out)));
}

export async function keepTemplateAction(sessionId: string, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([sessionId], (uc) => keepTemplate(uc, sessionId, typed)));
}

export async function dropTemplateAction(id: string): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => dropTemplateOf(uc, id)));
}

export async function saveWeekRulesAction(typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => saveWeekRules(uc, typed)));
}

export async function previewCalendarAction(text: unknown): Promise<SaveResult<CalendarView>> {
  return acting([], (uc) => previewCalendar(uc, text));
}

export async function takeCalendarAction(text: unknown, ids: unknown): Promise<SaveResult<CalendarView>> {
  return refreshed(await acting([], (uc) => takeCalendar(uc, text, ids)));
}

export async function moveToStationAction(itemIds: unknown, stationId: unknown): Promise<SaveResult> {
  return refreshed(await acting([itemIds].flat(), (uc) => moveToStation(uc, itemIds, stationId)));
}

export async function saveChangeTimesAction(gymId: string, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([gymId], (uc) => saveChangeTimes(uc, gymId, typed)));
}

export async function pinItemAction(itemIds: unknown, isPinned: boolean): Promise<SaveResult> {
  return refreshed(await acting([itemIds].flat(), (uc) => pinItem(uc, itemIds, isPinned)));
}

export async function takeTurnsAction(itemId: unknown, withId: unknown): Promise<SaveResult> {
  return refreshed(await acting([itemId, withId], (uc) => takeTurns(uc, itemId, withId)));
}

export async function endTurnsAction(itemId: unknown): Promise<SaveResult> {
  return refreshed(await acting([itemId], (uc) => endTurns(uc, itemId)));
}

export async function putProposedAction(sessionId: string, typed: unknown, key: string): Promise<SaveResult> {
  return refreshed(await acting([sessionId, key], (uc) => putProposed(uc, sessionId, typed, key)));
}

export async function shareSessionAction(sessionId: string, clientId: unknown): Promise<SaveResult> {
  return refreshed(await acting([sessionId, clientId], (uc) => shareSession(uc, sessionId, clientId)));
}

export async function endSharingAction(sessionId: string): Promise<SaveResult> {
  return refreshed(await acting([sessionId], (uc) => endSharing(uc, sessionId)));
}

export async function findStandInsAction(sessionId: string): Promise<SaveResult<readonly StandInColumn[]>> {
  return acting([sessionId], (uc) => findStandIns(uc, sessionId));
}
