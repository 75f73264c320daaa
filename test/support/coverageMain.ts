import { measureCoverage } from './coverage'

const [cooks, members, seed] = process.argv.slice(2).map(Number)
console.log(JSON.stringify(measureCoverage(cooks ?? 500, members ?? 100, seed ?? 11)))
