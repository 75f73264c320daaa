import { modeLab65, modeLch65, modeRgb, modeXyz65, useMode } from 'culori/fn'

// The small build of the colour library knows only the modes that are registered here.
useMode(modeRgb)
useMode(modeXyz65)
useMode(modeLab65)
useMode(modeLch65)
