/** What a database holds, counted. */
export interface RecordCounts {
  readonly gyms: number;
  readonly clients: number;
  readonly sessions: number;
  readonly events: number;
  /** When the newest tap was made; null without one. */
  readonly newestMs: number | null;
}
