import type { Said } from './said'

export const shelfPick = {
  findOnThe: 'find on the shelf',
  findOnTheShelf: 'Find on the shelf',
  nothingOnTheShelf: 'Nothing on the shelf has that in it.',
}

export const shelfActs = {
  putOnADay: 'Put on a day',
  onPaper: 'On paper',
  bringBack: 'Bring back',
  doneTimesLast: (timesDone: Said) => `done ${timesDone} times, last`,
  planned: (plannedOn: Said) => `planned ${plannedOn}`,
  onThe: (name: Said) => `on the ${name}`,
}

export const shelfPage = {
  shelf: 'Shelf',
  findByWhatIs: 'Find by what is in it',
  n12x300RideUnder1: '12x300, ride under 1 h with zone 3, swim on send-offs',
  inOrderOf: 'in order of',
  newestChange: 'newest change',
  title: 'title',
  shortest: 'shortest',
  longest: 'longest',
  newSession: 'New session',
  sameContent: 'same content',
  families: 'families',
  archived: 'archived',
  import: 'Import',
  exportAll: 'Export all',
  session: 'session',
  sessions: 'sessions',
  was: 'was',
  were: 'were',
  ofWhatIsIn: (knownCount: Said, knownCount2: Said) => `, ${knownCount} of what is in there ${knownCount2} here already`,
  takenIn: (importedCount: Said, importedCount2: Said, knownCount: Said) => `${importedCount} ${importedCount2} taken in${knownCount}.`,
  notTakenIn: 'Not taken in:',
  fine: 'fine',
  isOffTheShelf: (title: Said) => `“${title}” is off the shelf.`,
  bringItBack: 'Bring it back',
  found: (total: Said, how: Said) => `${total} found: ${how}.`,
  nothingOnTheShelf: 'Nothing on the shelf has that in it',
  lookedFor: (how: Said) => `: looked for ${how}`,
  nearIt: 'Near it:',
  theShelfIsEmpty: 'The shelf is empty. What you write at the',
  desk: 'Desk',
  standsHere: 'stands here.',
  lookingOnTheShelf: 'Looking on the shelf …',
  ofABesideThe: (rows: Said, total: Said) => `${rows} of ${total}. A + beside the time: steps that end by a press are estimated.`,
  showMore: 'Show more',
}

export const shelfRowItem = {
  lengthNotKnown: 'length not known',
  sameContentAsOther: (duplicates: Said, duplicates2: Said) => `same content as ${duplicates} other${duplicates2}`,
  variantOf: (variants: Said, variants2: Said, title: Said) => `${variants} variant${variants2} of ${title}`,
  variant: (variants: Said, variants2: Said) => `${variants} variant${variants2}`,
  actionsFor: (title: Said) => `Actions for ${title}`,
  actions: 'Actions',
}
