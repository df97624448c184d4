import { expect, it } from 'vitest'
import { Refusal, describe, Unreachable, why } from './client'

it('names the fields of a refusal, whether they are on the page or not', () => {
  const problem = {
    type: 'about:blank',
    title: 'Unprocessable',
    status: 422,
    detail: 'Nothing was saved.',
    fields: [],
  }
  expect(describe(new Refusal(problem))).toBe('Nothing was saved.')
  const fields = [{ path: 'blocks.0.drill', message: 'an identifier was expected' }]
  expect(describe(new Refusal({ ...problem, fields }))).toBe(
    'Nothing was saved. Block 1, drill: an identifier was expected.',
  )
  expect(why(new Refusal({ ...problem, fields }))).toBe('Block 1, drill: an identifier was expected.')
  expect(why(new Refusal(problem))).toBe('Nothing was saved.')
  expect(describe(new Unreachable())).toContain('Hodometer does not answer')
})
