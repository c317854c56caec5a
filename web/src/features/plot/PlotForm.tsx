import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { api, dataOf } from '../../api/client'
import { HABITATS, type Habitat } from '../../api/codes'
import { limits } from '../../api/limits'
import { keptInstead, wordsOf, wrongAt } from '../../api/problem'
import type { Plot, PlotBody } from '../../api/types'
import { parsePosition, positionWords } from '../../common/plot/position'
import { sendPlot } from '../../common/plot/queries'
import { AnyOf } from '../../ui/AnyOf'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { TextArea } from '../../ui/TextArea'

type Props = {
  readonly surveyId: string
  /** undefined: a new one */
  readonly plot?: Plot
  readonly onDone: (plotId: string) => void
}

/** A plot as it is entered; its position typed in any usual way, or picked up from the receiver. */
export function PlotForm({ surveyId, plot, onDone }: Props) {
  const queries = useQueryClient()
  const [id] = useState(() => plot?.id ?? crypto.randomUUID())
  const [code, setCode] = useState(plot?.code ?? '')
  const [position, setPosition] = useState(
    plot?.latitude != null && plot.longitude != null ? `${plot.latitude}, ${plot.longitude}` : '',
  )
  const [radius, setRadius] = useState(`${plot?.radiusMetres ?? limits.PlotBody.radiusMetres.usual}`)
  const [altitude, setAltitude] = useState(plot?.altitudeMetres == null ? '' : `${plot.altitudeMetres}`)
  const [picked, setPicked] = useState<string>()
  const [habitat, setHabitat] = useState<readonly Habitat[]>(plot?.habitat ?? [])
  const [notes, setNotes] = useState(plot?.notes ?? '')
  const degrees = parsePosition(position)
  const pick = useMutation({
    mutationFn: async () => dataOf(await api.GET('/api/receiver/fix')),
    onSuccess: (fix) => {
      setPosition(`${fix.latitude.toFixed(6)}, ${fix.longitude.toFixed(6)}`)
      const up = fix.altitudeMetres?.toFixed(0)
      if (up === undefined) return
      setAltitude((now) => (now === '' || now === picked ? up : now)) // what was typed stays
      setPicked(up)
    },
  })
  const body: PlotBody = {
    code,
    radiusMetres: Number(radius),
    habitat: [...habitat],
    notes,
    ...(degrees ?? {}),
    ...(altitude === '' ? {} : { altitudeMetres: Number(altitude) }),
    ...(plot ? { version: plot.version } : {}),
  }
  const change = useMutation({
    mutationFn: (asked: PlotBody) => sendPlot(surveyId, id, asked),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
      onDone(id)
    },
  })
  const unread = position.trim() !== '' && !degrees
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (!unread) change.mutate(body)
  }
  const kept = keptInstead<Plot>(change.error)
  // what was wrong with a field is told until it is changed
  const sent = change.variables
  const wrong = (key: keyof PlotBody) => (sent?.[key] === body[key] ? wrongAt(change.error, key) : undefined)
  const samePlace = sent?.latitude === body.latitude && sent?.longitude === body.longitude

  return (
    <form onSubmit={submit} className="grid gap-4" noValidate>
      <Field
        label="Code"
        value={code}
        onChange={(event) => setCode(event.target.value)}
        placeholder="Kettle Moss 08"
        wrong={wrong('code')}
      />
      <div className="flex items-start gap-2">
        <Field
          className="flex-1"
          label="Position of the centre"
          value={position}
          onChange={(event) => setPosition(event.target.value)}
          placeholder="55.0304, −20.3841 or 55° 1.824′ N 20° 23.046′ W"
          wrong={
            unread
              ? 'This cannot be read as a position. Write it as 55.0304, -20.3841 or as degrees and minutes with N and W.'
              : (wrong('latitude') ??
                wrong('longitude') ??
                (samePlace ? wrongAt(change.error, 'position') : undefined))
          }
          hint={degrees ? positionWords(degrees) : 'WGS 84; may be left for later'}
        />
        <Button className="mt-7" onClick={() => pick.mutate()} disabled={pick.isPending}>
          {pick.isPending ? 'Listening …' : 'From the receiver'}
        </Button>
      </div>
      {pick.data && (
        <Notice tone="plain">
          {pick.data.satellites} satellites, dilution {pick.data.dilution.toFixed(1)}
          {pick.data.simulated && '; made up by the simulated receiver, since no other is set up'}
        </Notice>
      )}
      {pick.isError && <Notice tone="wrong">{wordsOf(pick.error)}</Notice>}
      <div className="grid grid-cols-2 gap-4">
        <Field
          label="Radius, m"
          type="number"
          step="any"
          value={radius}
          onChange={(event) => setRadius(event.target.value)}
          wrong={wrong('radiusMetres')}
        />
        <Field
          label="Altitude, m"
          type="number"
          step="any"
          value={altitude}
          onChange={(event) => setAltitude(event.target.value)}
          wrong={wrong('altitudeMetres')}
          hint="may stay empty"
        />
      </div>
      <div>
        <p className="font-semibold">Ground</p>
        <AnyOf label="Ground" options={HABITATS} values={habitat} onChange={setHabitat} />
      </div>
      <TextArea
        label="Notes"
        maxLength={limits.PlotBody.notes.longest}
        value={notes}
        onChange={(event) => setNotes(event.target.value)}
      />
      {kept ? (
        <div className="rounded-plain border-2 border-gold bg-card p-4">
          <h3 className="text-lg">Somebody changed this plot after you opened it</h3>
          <p>
            Stored now: {kept.code}, radius {kept.radiusMetres} m,{' '}
            {kept.latitude != null && kept.longitude != null
              ? positionWords({ latitude: kept.latitude, longitude: kept.longitude })
              : 'no position'}
            , {kept.habitat.join(', ') || 'no ground noted'}. {kept.notes}
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button look="main" onClick={() => change.mutate({ ...body, version: kept.version })}>
              Store mine instead
            </Button>
            <Button
              onClick={async () => {
                await queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
                onDone(id)
              }}
            >
              Leave theirs
            </Button>
          </div>
        </div>
      ) : (
        <>
          {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
          <Button type="submit" look="main" disabled={change.isPending || unread}>
            {plot ? 'Keep the changes' : 'Record the plot'}
          </Button>
        </>
      )}
    </form>
  )
}
