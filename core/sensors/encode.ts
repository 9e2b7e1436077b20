import type { SensorKind } from './gatt'

/** The bytes that a simulated sensor sends, in the same layouts that `gatt.ts` reads. */
export interface Felt {
  bpm: number
  watts: number
  cadence: number
  speed: number
  crank: { count: number; at: number }
}

function bytes(size: number, write: (view: DataView) => void): DataView {
  const view = new DataView(new ArrayBuffer(size))
  write(view)
  return view
}

export function encodeSensor(kind: SensorKind, felt: Felt): DataView {
  const crankTicks = Math.round(felt.crank.at * 1024) % 65_536
  switch (kind) {
    case 'heart-rate':
      return bytes(2, view => {
        view.setUint8(0, 0b110)
        view.setUint8(1, Math.max(0, Math.min(255, Math.round(felt.bpm))))
      })
    case 'cycling-power':
      return bytes(8, view => {
        view.setUint16(0, 32, true)
        view.setInt16(2, Math.round(felt.watts), true)
        view.setUint16(4, felt.crank.count % 65_536, true)
        view.setUint16(6, crankTicks, true)
      })
    case 'cycling-cadence':
      return bytes(5, view => {
        view.setUint8(0, 2)
        view.setUint16(1, felt.crank.count % 65_536, true)
        view.setUint16(3, crankTicks, true)
      })
    case 'running-speed':
      return bytes(4, view => {
        view.setUint8(0, 0)
        view.setUint16(1, Math.round(Math.max(0, felt.speed) * 256), true)
        view.setUint8(3, Math.max(0, Math.min(255, Math.round(felt.cadence))))
      })
    case 'treadmill':
      return bytes(4, view => {
        view.setUint16(0, 0, true)
        view.setUint16(2, Math.round(Math.max(0, felt.speed) * 360), true)
      })
  }
}
