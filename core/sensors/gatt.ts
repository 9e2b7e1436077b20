/**
 * What the standard Bluetooth sensors say, byte by byte. The layouts are those of the public GATT specification: fields follow each
 * other in the order of their flags, least significant byte first.
 *
 * @source Bluetooth SIG, GATT Specification Supplement: Heart Rate Measurement, Cycling Power Measurement, CSC Measurement,
 * RSC Measurement, Treadmill Data
 */

/** Services and the characteristics that are listened to, by the names the platform takes. */
export const sensorServices = {
  'heart-rate': { service: 0x180d, characteristic: 0x2a37 },
  'cycling-power': { service: 0x1818, characteristic: 0x2a63 },
  'cycling-cadence': { service: 0x1816, characteristic: 0x2a5b },
  'running-speed': { service: 0x1814, characteristic: 0x2a53 },
  'treadmill': { service: 0x1826, characteristic: 0x2acd },
} as const

export type SensorKind = keyof typeof sensorServices

/** A count of revolutions and when the last one was, in seconds that wrap. */
export interface Revolutions {
  count: number
  at: number
}

export type SensorMessage =
  | { kind: 'heart-rate'; bpm: number; hasContact: boolean | null; beats: number[] }
  | { kind: 'cycling-power'; watts: number; crank: Revolutions | null }
  | { kind: 'cycling-cadence'; crank: Revolutions | null; wheel: Revolutions | null }
  | { kind: 'running-speed'; speed: number; cadence: number; metres: number | null }
  | { kind: 'treadmill'; speed: number | null; metres: number | null }

/** Reads fields one after another; null once the bytes are at their end. */
function fieldsOf(bytes: DataView) {
  let at = 0
  const take = (size: number, read: (position: number) => number): number | null => {
    if (at + size > bytes.byteLength) return null
    at += size
    return read(at - size)
  }
  return {
    u8: () => take(1, position => bytes.getUint8(position)),
    u16: () => take(2, position => bytes.getUint16(position, true)),
    i16: () => take(2, position => bytes.getInt16(position, true)),
    u24: () => take(3, position => bytes.getUint16(position, true) + bytes.getUint8(position + 2) * 65_536),
    u32: () => take(4, position => bytes.getUint32(position, true)),
    hasMore: () => at + 2 <= bytes.byteLength,
  }
}

/** A count, as the two fields of a revolution stand in the bytes. */
function revolutions(count: number | null, ticks: number | null, ticksASecond: number): Revolutions | null {
  return count === null || ticks === null ? null : { count, at: ticks / ticksASecond }
}

function heartRate(bytes: DataView): SensorMessage | null {
  const fields = fieldsOf(bytes)
  const flags = fields.u8()
  if (flags === null) return null
  const bpm = flags & 1 ? fields.u16() : fields.u8()
  if (bpm === null) return null
  if (flags & 8) fields.u16()
  const beats: number[] = []
  while (flags & 16 && fields.hasMore()) beats.push(fields.u16()! / 1024)
  return { kind: 'heart-rate', bpm, hasContact: flags & 4 ? (flags & 2) !== 0 : null, beats }
}

function cyclingPower(bytes: DataView): SensorMessage | null {
  const fields = fieldsOf(bytes)
  const flags = fields.u16()
  const watts = fields.i16()
  if (flags === null || watts === null) return null
  if (flags & 1) fields.u8()
  if (flags & 4) fields.u16()
  if (flags & 16) {
    fields.u32()
    fields.u16()
  }
  return { kind: 'cycling-power', watts, crank: flags & 32 ? revolutions(fields.u16(), fields.u16(), 1024) : null }
}

function cyclingCadence(bytes: DataView): SensorMessage | null {
  const fields = fieldsOf(bytes)
  const flags = fields.u8()
  if (flags === null) return null
  const wheel = flags & 1 ? revolutions(fields.u32(), fields.u16(), 1024) : null
  const crank = flags & 2 ? revolutions(fields.u16(), fields.u16(), 1024) : null
  return { kind: 'cycling-cadence', wheel, crank }
}

function runningSpeed(bytes: DataView): SensorMessage | null {
  const fields = fieldsOf(bytes)
  const flags = fields.u8()
  const speed = fields.u16()
  const cadence = fields.u8()
  if (flags === null || speed === null || cadence === null) return null
  if (flags & 1) fields.u16()
  const tenths = flags & 2 ? fields.u32() : null
  return { kind: 'running-speed', speed: speed / 256, cadence, metres: tenths === null ? null : tenths / 10 }
}

/** Trap: the first flag says that the speed is absent, not that it is there. */
function treadmill(bytes: DataView): SensorMessage | null {
  const fields = fieldsOf(bytes)
  const flags = fields.u16()
  if (flags === null) return null
  const hundredths = flags & 1 ? null : fields.u16()
  if (flags & 2) fields.u16()
  return { kind: 'treadmill', speed: hundredths === null ? null : hundredths / 360, metres: flags & 4 ? fields.u24() : null }
}

const decoders = {
  'heart-rate': heartRate,
  'cycling-power': cyclingPower,
  'cycling-cadence': cyclingCadence,
  'running-speed': runningSpeed,
  'treadmill': treadmill,
} as const

/**
 * A notification of a sensor in numbers: bpm, W, m/s, metres, revolutions.
 *
 * @returns null when the bytes end before what their flags promise
 */
export const decodeSensor = (kind: SensorKind, bytes: DataView): SensorMessage | null => decoders[kind](bytes)

/**
 * Revolutions a minute between two counts; null where the count has not moved on.
 *
 * @param wrap where the count begins anew; times wrap at 64 s
 * @example cadenceBetween({ count: 10, at: 1 }, { count: 13, at: 3 }) // 90
 */
export function cadenceBetween(before: Revolutions, after: Revolutions, wrap = 65_536): number | null {
  const turns = (after.count - before.count + wrap) % wrap
  const seconds = (after.at - before.at + 64) % 64
  return turns === 0 || seconds === 0 ? null : (turns / seconds) * 60
}
