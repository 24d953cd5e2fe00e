import { Button } from '@mantine/core'
import { notifications } from '@mantine/notifications'

/** A short word after an act, with the way back when there is one. */
export function tell(message: string, undo?: () => void): void {
  const id = notifications.show({
    color: 'ink',
    autoClose: undo ? 12_000 : 5000,
    message: (
      <>
        {message}{' '}
        {undo && (
          <Button
            size="compact-sm"
            onClick={() => {
              notifications.hide(id)
              undo()
            }}
          >
            Undo
          </Button>
        )}
      </>
    ),
  })
}

/** Runs something that may be refused, and says why if it is. */
export async function attempt<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work()
  } catch (error) {
    notifications.show({
      color: 'ink',
      autoClose: 12_000,
      title: 'Not done',
      message: (error as Error).message,
    })
    return undefined
  }
}
