import { promisify } from 'node:util'
import { gunzip, gzip } from 'node:zlib'

/** Columns and files are kept compressed. */
export const zip = promisify(gzip)
export const unzip = promisify(gunzip)
