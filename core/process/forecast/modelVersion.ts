/** Version of the equations and constants: a batch keeps the one it was cooked under. */
export const MODEL_VERSION = '2026.11-3'
