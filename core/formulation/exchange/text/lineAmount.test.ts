import { describe, expect, it } from 'vitest'
import { readLineAmount } from './lineAmount'

const ML = { tsp: 5, tbsp: 15 }
const read = (line: string) => {
  const { amount, name } = readLineAmount(line)
  return amount ? { ...amount, name } : { name }
}
const PLAIN = { to: null, size: 'medium', more: [], twin: null, isLoose: false }
const cups = { kind: 'vessel', vessel: 'cup' }
const volume = (volumeMl: number) => ({ kind: 'volume', volumeMl })
const mass = (massG: number) => ({ kind: 'mass', massG })

describe('the amount of a line', () => {
  it('stands at its head or its end, with the name that is left', () => {
    expect(read('2 cups semolina')).toEqual({ ...PLAIN, value: 2, unit: cups, name: 'semolina' })
    expect(read('Ghee – 3/4 cup')).toEqual({ ...PLAIN, value: 0.75, unit: cups, name: 'Ghee' })
    expect(read('half cup of ghee')).toEqual({ ...PLAIN, value: 0.5, unit: cups, name: 'ghee' })
    expect(read('about 250 g carrots')).toEqual({ ...PLAIN, value: 250, unit: mass(1), name: 'carrots' })
    expect(read('1 level tsp salt')).toEqual({ ...PLAIN, value: 1, unit: volume(ML.tsp), name: 'salt' })
    expect(read('Cashews 10 nos')).toEqual({ ...PLAIN, value: 10, unit: null, name: 'Cashews' })
    expect(read('Cardamom, crushed')).toEqual({ name: 'Cardamom, crushed' })
  })

  it('may be a range, a dozen, or so many of a size', () => {
    expect(read('1-2 cups sugar')).toEqual({ ...PLAIN, value: 1, to: 2, unit: cups, name: 'sugar' })
    expect(read('2 to 3 tbsp ghee')).toEqual({ ...PLAIN, value: 2, to: 3, unit: volume(ML.tbsp), name: 'ghee' })
    expect(read('10-12 almonds')).toEqual({ ...PLAIN, value: 10, to: 12, unit: null, name: 'almonds' })
    expect(read('2 dozen dates')).toEqual({ ...PLAIN, value: 24, unit: null, name: 'dates' })
    expect(read('2 large carrots')).toEqual({ ...PLAIN, value: 2, unit: null, size: 'large', name: 'carrots' })
    expect(read('3 small-sized beetroots')).toEqual({ ...PLAIN, value: 3, unit: null, size: 'small', name: 'beetroots' })
    // A big cup is a loose measure and no size of a thing.
    expect(read('1 big cup water')).toEqual({ ...PLAIN, value: 1, unit: cups, isLoose: true, name: 'water' })
  })

  it('may be so many of a package, more in another unit, or the same once more beside it', () => {
    expect(read('2 x 400 g condensed milk')).toEqual({ ...PLAIN, value: 800, unit: mass(1), name: 'condensed milk' })
    expect(read('1 cup + 2 tbsp water')).toEqual({ ...PLAIN, value: 1, unit: cups, more: [{ value: 2, unit: volume(ML.tbsp) }], name: 'water' })
    for (const line of ['1 cup (240 ml) milk', '1 (240 ml) cup milk', '1 cup or 240 ml milk', '1 cup (about 240 ml) milk'])
      expect(read(line), line).toEqual({ ...PLAIN, value: 1, unit: cups, twin: { value: 240, unit: volume(1) }, name: 'milk' })
    expect(read('1/2 kg (500 grams) carrot')).toEqual({ ...PLAIN, value: 0.5, unit: mass(1000), twin: { value: 500, unit: mass(1) }, name: 'carrot' })
    // A bracket that speaks of a cup of no known size says nothing more.
    expect(read('200 g (1 cup) semolina')).toEqual({ ...PLAIN, value: 200, unit: mass(1), name: 'semolina' })
  })

  it('is known only to the hand that wrote it where it is heaped, or a few', () => {
    expect(read('1 heaped tablespoon sugar')).toEqual({ ...PLAIN, value: 1, unit: volume(ML.tbsp), isLoose: true, name: 'sugar' })
    expect(read('a few cashews')).toEqual({ ...PLAIN, value: 5, unit: null, isLoose: true, name: 'cashews' })
    expect(read('couple of tbsp of ghee')).toEqual({ ...PLAIN, value: 5, unit: volume(ML.tbsp), isLoose: true, name: 'ghee' })
    expect(read('pinch of saffron')).toMatchObject({ value: 1, name: 'saffron' })
  })
})
