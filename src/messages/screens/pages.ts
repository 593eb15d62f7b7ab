/** Titles and headings of the pages. */
export const WORDS = {
  // layout.tsx
  jorvix: 'Jorvix',
  titled: '%s | Jorvix',
  placeOf: (what: string, place: string): string => `${what}: ${place}`,
  set: 'set',
  setUp: 'set-up',
  sheet: 'sheet',
  setsUpPacesAndRemembers: 'Sets up, paces and remembers each client’s training.',
  // not-found.tsx
  nothingOnThisSheet: 'Nothing on this sheet',
  thereIsNoClientMovement:
    'There is no client, movement or column under this address; it may have been on another database.',
  backToTheFloor: 'Back to the floor',
  // page.tsx
  floor: 'Floor',
  // clients/page.tsx
  clients: 'Clients',
  noClientsYet: 'No clients yet.',
  cmKgMeasured: (statureCm: number, massKg: number, isEstimate: boolean, measured: number): string =>
    `${statureCm} cm, ${isEstimate ? 'about ' : ''}${massKg} kg, ${measured} measured`,
  addAClient: 'Add a client',
  // clients/[clientId]/page.tsx
  ledger: 'Ledger',
  // clients/new/page.tsx
  newClient: 'New client',
  // kit/new/page.tsx
  new: (one: string): string => `New ${one}`,
  // ledger/page.tsx
  sets: (sets: number): string => (sets === 0 ? 'no set yet' : `${sets} ${sets === 1 ? 'set' : 'sets'}`),
  // ledger/what-works/page.tsx
  whatWorks: 'What works here',
  whatWorksText:
    'Corrections of the last half year over all clients, best first for each fault. The line is where the share that ' +
    'holds likely lies, 90 % sure; the mark on it is drawn towards the gym’s own share, the more the fewer looks ' +
    'there are, so that one lucky set does not lead.',
  // ledger/[clientId]/page.tsx
  ledgerPlace: 'ledger',
  ledgerOf: (name: string): string => `Ledger of ${name}`,
  clientSheet: 'Client sheet',
  handOver: 'Hand-over page',
  // ledger/[clientId]/[movement]/page.tsx
  coursePlace: 'course',
  courseOf: (movement: string, client: string): string => `${movement}: how it went with ${client}`,
  earlierSessions: (n: number): string =>
    n === 1 ? 'The session before these too' : `The ${n} sessions before these too`,
  nothingRecordedYetWhatIs: 'Nothing recorded yet. What is tapped during a set shows here.',
  // movements/page.tsx
  movements: 'Movements',
  // offline/page.tsx
  noNetwork: 'No network',
  noNetworkAndThisPage: 'No network, and this page was not opened here before',
  setsAndSetUpsThat:
    'Sets and set-ups that were opened on this device today work without it: go back, or open one of them. ' +
    'Every tap is kept here and sent when the network returns.',
  // setup/[itemId]/page.tsx
  kit: 'Kit',
} as const;
