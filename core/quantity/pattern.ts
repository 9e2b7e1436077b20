/**
 * A regular expression written in several lines: its parts stand one behind the other as they are.
 *
 * @example patternOf('i', ['a|', 'b']).source // 'a|b'
 */
export const patternOf = (flags: string, parts: readonly string[]): RegExp => new RegExp(parts.join(''), flags)
