import { array, bool, boolean, number, object, string } from 'yup'
import type { InferType } from 'yup'
import { planKinds } from '../../../core/plan/entry'
import { slugOf } from '../../../core/quantity/slug'
import { sportNames } from '../../../core/session/sports'

/**
 * What lies where in an archive of everything: each session, recording, program and the athlete as a document of its own in its open
 * format, and one index that says how they belong together. `docs/formats/archive.md` describes it for other programs.
 */
export const indexName = 'agonis.json'
export const athleteName = 'athlete.json'
export const athleteHistoryName = 'athlete-history.json'

/** A name for a file that every system takes. */
export const fileNameOf = (title: string) => slugOf(title, 60) || 'session'
const short = (id: string) => id.slice(0, 8)
export const sessionFile = (title: string, id: string) => `sessions/${fileNameOf(title)}-${short(id)}`
export const wordingsFile = (id: string) => `wordings/${id}.json`
export const programFile = (digest: string) => `programs/${digest}.json`
export const originalFile = (id: string) => `originals/${id}`
export const recordingFile = (startedAt: string, title: string, id: string) =>
  `recordings/${startedAt.slice(0, 10)}-${fileNameOf(title)}-${short(id)}.json`

const uuid = () => string().uuid().required()
const when = () => string().max(40).required()
const file = () => string().max(200).required()

/** The index, as an archive of ours has it; fields that a later version adds are passed over. */
export const indexShape = object({
  format: string()
    .oneOf(['agonis.archive'] as const)
    .required(),
  version: number()
    .oneOf([1] as const, 'is of a later version of Agonis')
    .required(),
  sessions: array(
    object({
      id: uuid(),
      file: file(),
      family: uuid(),
      tags: array(string().max(40).required()).max(20).required(),
      dismissed: array(string().max(1000).required()).max(200).required(),
      isArchived: bool().required(),
      createdAt: when(),
      updatedAt: when(),
    }),
  ).required(),
  plan: array(
    object({
      day: when(),
      session: string().uuid().nullable().default(null),
      at: number().integer().min(0).default(0),
      kind: string().oneOf(planKinds).default('session'),
      name: string().max(500).nullable().default(null),
      minutes: number().moreThan(0).max(2880).nullable().default(null),
      effort: number().min(0).max(10).nullable().default(null),
      sport: string().oneOf(sportNames).nullable().default(null),
      filled: bool().default(false),
      createdAt: when(),
    }),
  ).required(),
  programs: array(
    object({
      digest: string().length(64).required(),
      session: string().uuid().nullable().defined(),
      revision: number().integer().nullable().defined(),
      changedThere: boolean().default(false),
    }),
  ).required(),
  recordings: array(
    object({
      id: uuid(),
      file: file(),
      session: string().uuid().nullable().defined(),
      program: string().length(64).nullable().defined(),
      title: string().max(500),
      slept: number().min(0).max(24).nullable(),
      boundaries: array(
        object({
          path: string().max(40).required(),
          round: array(number().integer().required()).max(6).required(),
          startsAt: number().min(0).max(604_800).required(),
        }),
      ).max(20_000),
      /** The file it came in: where it lies here, and what it was called. */
      original: object({ file: file(), name: string().max(300).required() })
        .nullable()
        .default(null),
    }),
  ).required(),
  watches: array(
    object({
      name: string().max(60).required(),
      profile: object().required(),
      link: string().max(10).required(),
      standing: object().required(),
    }),
  ).required(),
})
export type ArchiveIndex = InferType<typeof indexShape>

/** An earlier wording of a session. */
export const wordingsShape = array(
  object({
    number: number().integer().min(1).required(),
    base: number().integer().min(0).required(),
    script: string().defined(),
    source: string().nullable().defined(),
    document: object().required(),
    readOn: string().nullable().defined(),
    savedAt: when(),
  }),
).required()
export type Wordings = InferType<typeof wordingsShape>

export const athleteHistoryShape = array(
  object({ number: number().integer().min(1).required(), savedAt: when(), athlete: object().required() }),
).required()
