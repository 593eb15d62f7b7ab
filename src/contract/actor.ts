/** Who does something: every record and every change carries their id. */
export interface Actor {
  readonly id: string;
  readonly name: string;
}

/** The one trainer that there is until there are accounts. */
export const BUILT_IN_TRAINER: Actor = { id: 'trainer', name: 'Trainer' };
