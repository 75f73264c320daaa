/**
 * What the parts of the interface say by themselves: names of their small buttons for who does not see them, what an
 * empty list says, how a calendar is moved through. By the keys of the parts' own package.
 */
export const PART_WORDS = {
  datepicker: {
    now: 'Now',
    today: 'Today',
    cancel: 'Leave it',
    clear: 'Empty',
    confirm: 'Take it',
    dateTablePrompt: 'Arrow keys go from day to day, Enter takes one',
    monthTablePrompt: 'Arrow keys go from month to month, Enter takes one',
    yearTablePrompt: 'Arrow keys go from year to year, Enter takes one',
    selectedDate: 'Day',
    selectDate: 'Choose a day',
    selectTime: 'Choose a time',
    prevYear: 'A year back',
    nextYear: 'A year on',
    prevMonth: 'A month back',
    nextMonth: 'A month on',
  },
  inputNumber: { decrease: 'Less', increase: 'More' },
  select: {
    loading: 'It is being read',
    noMatch: 'Nothing goes by that name',
    noData: 'There is nothing to choose from',
    placeholder: 'Choose',
  },
  dropdown: { toggleDropdown: 'More' },
  dialog: { close: 'Close' },
  drawer: { close: 'Close' },
  upload: { deleteTip: 'Delete takes it away', delete: 'Take it away', preview: 'Look at it', continue: 'Go on' },
  table: { emptyText: 'Nothing stands here' },
} as const
