import { constant } from '../constants/constants'

/** Latent heat of water at 100 °C, J/g: handbook value. */
export const LATENT_HEAT = constant('latentHeat')
