import { Problem, wordsOf } from '../../api/problem'
import { Notice } from '../../ui/Notice'

/** What is wrong with a file, place by place. */
export function Refused({ error }: { readonly error: unknown }) {
  const places = error instanceof Problem ? error.refusals : []
  return (
    <Notice tone="wrong">
      <p>{wordsOf(error)}</p>
      {places.length > 3 && (
        <ul className="mt-1 max-h-60 list-disc overflow-y-auto pl-6">
          {places.map((one) => (
            <li key={`${one.key} ${one.found}`}>
              <b>{one.key}</b>: found {one.found}, expected {one.expected}.
            </li>
          ))}
        </ul>
      )}
    </Notice>
  )
}
