/** What each sound at the fire means. */
export const MEANING_WORDS = {
  soon: 'look soon',
  now: 'do it now',
  late: 'late: look at once',
  stop: 'stop: burnt',
  other: 'other vessel',
  asked: 'a question',
  marked: 'marked',
  away: 'hearth away',
} as const
