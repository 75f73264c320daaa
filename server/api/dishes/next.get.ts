import { route } from '../../http/route'

/** Dishes that the house is likeliest to make next, and what each needs. */
export default route(async hearth => hearth.likelyDishes.next())
