/** The API's own address, which the way for all others does not stand for. */
export { default } from './[...]'
