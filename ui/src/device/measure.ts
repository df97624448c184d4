/**
 * measureOf is the number of the measure that was counted; one that names none was counted when a drill had no other.
 */
export const measureOf = (tap: { measure?: number }) => tap.measure ?? 1
