/** The bytes of a file as base64. */
export const base64Of = (bytes: File) =>
  new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).replace(/^data:[^,]*,/, ''))
    reader.onerror = () => reject(new Error('The file cannot be read.'))
    reader.readAsDataURL(bytes)
  })
