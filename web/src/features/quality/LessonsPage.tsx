import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { GroupLesson, Lessons } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { counted, dayAndTime } from '../../ui/words'
import { AddVerified } from './AddVerified'
import { Proposals } from './Proposals'
import { QualityTabs } from './QualityTabs'
import { lessonsQuery, removeVerified } from './queries'
import { ReliabilityCurve } from './ReliabilityCurve'

/** Whether what is believed comes true on trees whose taxon is known, and what they would change in the sheets. */
export function LessonsPage() {
  const chosen = useSurvey()
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-6xl">
        <QualityTabs />
        <SurveyHead chosen={chosen} title="What the record teaches" />
        {chosen.survey && <Taught key={chosen.survey.id} surveyId={chosen.survey.id} />}
      </div>
    </main>
  )
}

function Taught({ surveyId }: { readonly surveyId: string }) {
  const lessons = useQuery(lessonsQuery(surveyId))
  const observer = useObserver()
  if (lessons.isError) return <Notice tone="wrong">{wordsOf(lessons.error)}</Notice>
  if (!lessons.data) return <OnItsWay of={lessons}>Holding what was believed against what is true …</OnItsWay>
  const { groups, files, needed } = lessons.data
  const edits = observer.role !== 'crew'
  return (
    <>
      <p className="max-w-prose">
        Of all names that were believed to 70 %, seven in ten should come true. Here that is held against
        trees whose taxon is known: settled reviews that a lead marked as verified, and files of trees from
        elsewhere. From {needed} such trees of a group on, they may speak for other figures in its sheet.
      </p>
      {groups.length === 0 && (
        <Notice tone="plain">
          No tree is verified yet. A lead marks a settled review as verified on its page, where a laboratory
          or flowers and fruit have made it certain
          {edits ? '; or add a file of trees below.' : '.'}
        </Notice>
      )}
      <div className="mt-4 grid grid-cols-1 gap-4">
        {groups
          .filter((one) => one.enough)
          .map((group) => (
            <GroupCard key={group.groupId} surveyId={surveyId} group={group} needed={needed} edits={edits} />
          ))}
      </div>
      <Few surveyId={surveyId} groups={groups.filter((one) => !one.enough)} needed={needed} edits={edits} />
      {edits && <AddVerified surveyId={surveyId} />}
      {files.length > 0 && <Files surveyId={surveyId} files={files} groups={groups} />}
    </>
  )
}

type FewProps = Omit<CardProps, 'group'> & { readonly groups: readonly GroupLesson[] }

/** Groups whose trees are too few to say much: a line each, with what there is behind it. */
function Few({ groups, needed, ...rest }: FewProps) {
  if (groups.length === 0) return null
  return (
    <section aria-label="Too few to tell" className="mt-4">
      <h2 className="text-lg">Too few trees to tell: it takes {needed}</h2>
      {groups.map((group) => (
        <details key={group.groupId} className="border-t border-line last:border-b">
          <summary className="flex min-h-11 cursor-pointer items-center gap-3">
            <b className="grow">{group.title}</b>
            {counted(group.trees, 'verified tree')}
          </summary>
          <GroupCard group={group} needed={needed} {...rest} />
        </details>
      ))}
    </section>
  )
}

type CardProps = {
  readonly surveyId: string
  readonly group: GroupLesson
  readonly needed: number
  readonly edits: boolean
}

function GroupCard({ surveyId, group, needed, edits }: CardProps) {
  return (
    <section aria-label={group.title} className="rounded-plain border border-line bg-card p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-lg">{group.title}</h2>
        <span>
          {counted(group.trees, 'verified tree')}
          {!group.enough && <b>, too few: it takes {needed}</b>}
        </span>
      </div>
      {group.unread > 0 && (
        <p className="text-sm text-rust-ink">
          {counted(group.unread, 'tree')} of them {group.unread === 1 ? 'was' : 'were'} read on an older sheet
          and cannot be read on version {group.version}: nothing is learnt from{' '}
          {group.unread === 1 ? 'it' : 'them'}.
        </p>
      )}
      <ReliabilityCurve surveyId={surveyId} group={group}>
        <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1">
          <Figure
            name="calibration error"
            value={group.calibrationError}
            says="how far belief and truth lie apart, 0 at best"
          />
          <Figure name="Brier score" value={group.brier} says="0 at best, 2 at worst" />
          <Figure
            name="log loss"
            value={group.logLoss}
            says="0 at best; a sure call that is wrong costs much"
          />
        </dl>
      </ReliabilityCurve>
      <section aria-label="What they would change in the sheet" className="mt-2 border-t border-line pt-2">
        <h3 className="text-base">What they would change in the sheet</h3>
        <Proposals surveyId={surveyId} groupId={group.groupId} edits={edits} />
      </section>
      <a
        className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
        href={`/api/surveys/${surveyId}/lessons/${group.groupId}/specimens`}
        download
      >
        These trees as a file of specimens
      </a>
    </section>
  )
}

type FigureProps = {
  readonly name: string
  readonly value: number | null | undefined
  readonly says: string
}

function Figure({ name, value, says }: FigureProps) {
  return (
    <>
      <dt className="text-quiet">{name}</dt>
      <dd>
        <b className="figure text-lg">{value == null ? '–' : value.toFixed(3)}</b>{' '}
        <span className="text-sm text-quiet">{says}</span>
      </dd>
    </>
  )
}

type FilesProps = {
  readonly surveyId: string
  readonly files: Lessons['files']
  readonly groups: readonly GroupLesson[]
}

function Files({ surveyId, files, groups }: FilesProps) {
  const client = useQueryClient()
  const remove = useMutation({
    mutationFn: removeVerified,
    // not waited for: without a server it would never end
    onSettled: () => void client.invalidateQueries({ queryKey: lessonsQuery(surveyId).queryKey }),
  })
  return (
    <section aria-label="Files" className="mt-4">
      <h2 className="text-lg">Files of verified trees</h2>
      <ul className="divide-y divide-line border-y border-line">
        {files.map((file) => (
          <li key={file.id} className="flex flex-wrap items-center gap-x-4 py-1">
            <b className="break-all">{file.name}</b>
            <span>
              {groups.find((one) => one.groupId === file.groupId)?.title ?? file.groupId},{' '}
              {counted(file.trees, 'tree')}
            </span>
            <span className="text-quiet">
              {file.addedBy}, {dayAndTime(file.addedAt)}
            </span>
            {!file.readable && (
              <span className="text-rust-ink">
                The newest sheet does not know all that was read, so none of its trees counts.
              </span>
            )}
            {file.mine && (
              <Button
                look="quiet"
                className="ml-auto"
                disabled={remove.isPending}
                onClick={() => remove.mutate(file.id)}
              >
                Take out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {remove.isError && <Notice tone="wrong">{wordsOf(remove.error)}</Notice>}
    </section>
  )
}
