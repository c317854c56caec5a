import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { monthName } from '../../ui/words'
import { fieldCasesQuery } from './queries'

/** Settled cases of the field to practise on by their photos. */
export function FieldCases() {
  const cases = useQuery(fieldCasesQuery)
  if (!cases.data?.length) return null
  return (
    <section>
      <h2 className="text-lg">Cases from the field</h2>
      <p className="max-w-prose">Settled reviews that you had no part in, by their photos.</p>
      <ul>
        {cases.data.map((one) => (
          <li key={one.caseId} className="border-b border-line">
            <Link
              to={`/practice/cases/${one.caseId}`}
              className="inline-flex min-h-11 items-center font-semibold underline"
            >
              {one.groupTitle}, {one.stage}, {monthName(one.month)}
            </Link>
            {one.result && ' · you called it'}
          </li>
        ))}
      </ul>
    </section>
  )
}
