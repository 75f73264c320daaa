import { createPinia, setActivePinia } from 'pinia'
import { beforeEach } from 'vitest'

const fresh = (): void => void setActivePinia(createPinia())
// What a file works out before its tests asks the stores as well.
fresh()
/** Every test begins with stores of its own. */
beforeEach(fresh)
