import { Button } from '@mantine/core'
import { isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { Empty } from '../parts/states.tsx'

/** An address with nothing behind it, or a screen that failed to open. */
export function Lost() {
  const error = useRouteError()
  const failed = error instanceof Error || (isRouteErrorResponse(error) && error.status !== 404)
  return (
    <Empty
      page
      title={failed ? 'This screen did not open' : 'There is nothing at this address'}
      action={
        <Button component={Link} to="/orders" variant="filled" reloadDocument={failed}>
          To the orders
        </Button>
      }
    >
      {failed && error instanceof Error
        ? error.message
        : 'It may have been deleted, or the address mistyped.'}
    </Empty>
  )
}
