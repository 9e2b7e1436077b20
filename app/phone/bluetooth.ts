import type { SensorKind, SensorMessage } from '~~/core/sensors/gatt'
import { decodeSensor, sensorServices } from '~~/core/sensors/gatt'
import { phoneBluetooth as texts } from '~/texts/en'

interface Characteristic extends EventTarget {
  value?: DataView
  startNotifications: () => Promise<unknown>
}
interface Server {
  getPrimaryService: (service: number) => Promise<{ getCharacteristic: (characteristic: number) => Promise<Characteristic> }>
}
interface Device extends EventTarget {
  name?: string
  gatt: { connect: () => Promise<Server>; disconnect: () => void }
}
interface Bluetooth {
  requestDevice: (options: { filters: { services: number[] }[] }) => Promise<Device>
}

const bluetooth = (): Bluetooth | null => (navigator as Navigator & { bluetooth?: Bluetooth }).bluetooth ?? null
export const canBluetooth = (): boolean => bluetooth() !== null

export interface Connection {
  name: string
  end: () => void
}

const retryEvery = 3000

/**
 * Asks the athlete for a sensor and listens to it. A sensor out of reach is called again until it answers or is let go.
 *
 * @param onState told whether it is heard now
 */
export async function connectSensor(
  kind: SensorKind,
  onMessage: (message: SensorMessage) => void,
  onState: (isHeard: boolean) => void,
): Promise<Connection> {
  const platform = bluetooth()
  if (!platform) throw new Error(texts.thisBrowserHasNo)
  const { service, characteristic } = sensorServices[kind]
  const device = await platform.requestDevice({ filters: [{ services: [service] }] })
  let isWanted = true
  const listen = async () => {
    const server = await device.gatt.connect()
    const found = await (await server.getPrimaryService(service)).getCharacteristic(characteristic)
    found.addEventListener('characteristicvaluechanged', () => {
      const message = found.value ? decodeSensor(kind, found.value) : null
      if (message) onMessage(message)
    })
    await found.startNotifications()
    onState(true)
  }
  const listenAgain = () => {
    if (isWanted) listen().catch(() => setTimeout(listenAgain, retryEvery))
  }
  device.addEventListener('gattserverdisconnected', () => {
    onState(false)
    listenAgain()
  })
  await listen()
  return {
    name: device.name ?? 'sensor',
    end() {
      isWanted = false
      device.gatt.disconnect()
    },
  }
}
