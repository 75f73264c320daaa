import { nextTick } from 'vue'

/**
 * Names the panel that a field of days or times opens: the package gives it the role of a dialog and no name.
 *
 * @param name what is asked
 * @returns hears that the panel opens or closes
 */
export function namedPicker(name: () => string): (open: boolean) => void {
  return (open) => {
    if (open)
      void nextTick(() =>
        document
          .querySelectorAll('.el-picker__popper[role="dialog"][aria-hidden="false"]')
          .forEach(panel => panel.setAttribute('aria-label', name())),
      )
  }
}
