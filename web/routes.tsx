import { Navigate, type RouteObject } from 'react-router'
import { Shell } from './parts/Shell.tsx'
import { Loading } from './parts/states.tsx'
import { Lost } from './screens/Lost.tsx'
import { Orders } from './screens/orders/Orders.tsx'

/** Every address. Screens are loaded when they are first opened. */
export const routes: RouteObject[] = [
  {
    element: <Shell />,
    errorElement: <Lost />,
    HydrateFallback: () => <Loading what="Kanten" />,
    children: [
      { index: true, element: <Navigate to="/orders" replace /> },
      // where most visits begin: it comes with the frame
      { path: 'orders', Component: Orders },
      {
        path: 'orders/:orderId',
        lazy: async () => ({ Component: (await import('./screens/order/OrderFrame.tsx')).OrderFrame }),
        children: [
          { index: true, element: <Navigate to="brief" replace /> },
          {
            path: 'brief',
            lazy: async () => ({ Component: (await import('./screens/order/brief/Brief.tsx')).Brief }),
          },
          {
            path: 'pieces',
            lazy: async () => ({
              Component: (await import('./screens/order/pieces/PiecesFrame.tsx')).PiecesFrame,
            }),
            children: [
              {
                index: true,
                lazy: async () => ({ Component: (await import('./screens/order/pieces/Pieces.tsx')).Pieces }),
              },
              {
                path: 'place/:pieceId?',
                lazy: async () => ({ Component: (await import('./screens/order/place/Place.tsx')).Place }),
              },
              {
                path: 'tray',
                lazy: async () => ({ Component: (await import('./screens/order/pieces/Tray.tsx')).Tray }),
              },
              {
                path: 'boards',
                lazy: async () => ({ Component: (await import('./screens/order/pieces/Cakes.tsx')).Cakes }),
              },
            ],
          },
          {
            path: 'colours/:part?',
            lazy: async () => ({ Component: (await import('./screens/order/colours/Colours.tsx')).Colours }),
          },
          {
            path: 'advice',
            lazy: async () => ({ Component: (await import('./screens/order/advice/Advice.tsx')).Advice }),
          },
          {
            path: 'bags/:part?',
            lazy: async () => ({ Component: (await import('./screens/order/bags/Bags.tsx')).Bags }),
          },
          {
            path: 'bowl',
            lazy: async () => ({ Component: (await import('./screens/order/bowl/BowlView.tsx')).BowlView }),
          },
          {
            path: 'icing',
            lazy: async () => ({ Component: (await import('./screens/order/icing/Icing.tsx')).Icing }),
          },
          {
            path: 'bench',
            lazy: async () => ({
              Component: (await import('./screens/order/bench/BenchFrame.tsx')).BenchFrame,
            }),
            children: [
              {
                index: true,
                lazy: async () => ({
                  Component: (await import('./screens/order/bench/BenchStop.tsx')).BenchStop,
                }),
              },
              {
                path: 'practice/*',
                lazy: async () => ({
                  Component: (await import('./screens/practice/OrderPractice.tsx')).OrderPractice,
                }),
              },
              {
                path: 'prints/:kind?',
                lazy: async () => ({
                  Component: (await import('./screens/order/prints/Prints.tsx')).Prints,
                }),
              },
            ],
          },
          {
            path: 'timeline/:part?',
            lazy: async () => ({
              Component: (await import('./screens/order/timeline/Timeline.tsx')).Timeline,
            }),
          },
        ],
      },
      {
        path: 'day',
        lazy: async () => ({ Component: (await import('./screens/day/BenchDay.tsx')).BenchDay }),
      },
      {
        path: 'week/:part?',
        lazy: async () => ({ Component: (await import('./screens/week/Week.tsx')).Week }),
      },
      {
        path: 'flowers',
        lazy: async () => ({ Component: (await import('./screens/flowers/Flowers.tsx')).Flowers }),
      },
      {
        path: 'flowers/:flowerId',
        lazy: async () => ({ Component: (await import('./screens/flower/FlowerPage.tsx')).FlowerPage }),
      },
      {
        path: 'flowers/:flowerId/piped/:layerId?',
        lazy: async () => ({ Component: (await import('./screens/flower/piped/Piped.tsx')).PipedPage }),
      },
      {
        path: 'drawer',
        lazy: async () => ({ Component: (await import('./screens/drawer/Drawer.tsx')).Drawer }),
      },
      {
        path: 'logbook',
        lazy: async () => ({ Component: (await import('./screens/logbook/Logbook.tsx')).Logbook }),
      },
      {
        path: 'logbook/over/:over',
        lazy: async () => ({ Component: (await import('./screens/logbook/Logbook.tsx')).Logbook }),
      },
      {
        path: 'logbook/:entryId/:part?',
        lazy: async () => ({ Component: (await import('./screens/logbook/EntryPage.tsx')).EntryPage }),
      },
      {
        path: 'practice/*',
        lazy: async () => ({ Component: (await import('./screens/practice/PracticePage.tsx')).PracticePage }),
      },
      {
        path: 'wrong',
        lazy: async () => ({ Component: (await import('./screens/wrong/Wrong.tsx')).Wrong }),
      },
      {
        path: 'start/:step?',
        lazy: async () => ({ Component: (await import('./screens/start/Start.tsx')).Start }),
      },
      {
        path: 'words',
        lazy: async () => ({ Component: (await import('./screens/glossary/Glossary.tsx')).Glossary }),
      },
      {
        path: 'deleted',
        lazy: async () => ({ Component: (await import('./screens/deleted/Deleted.tsx')).Deleted }),
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('./screens/settings/SettingsPage.tsx')).SettingsPage }),
      },
      {
        path: 'settings/practice',
        lazy: async () => ({
          Component: (await import('./screens/settings/PracticeFigures.tsx')).PracticeFigures,
        }),
      },
      { path: '*', element: <Lost /> },
    ],
  },
  {
    path: 'bench/:runId/:part?',
    errorElement: <Lost />,
    HydrateFallback: () => <Loading what="the bench" />,
    lazy: async () => ({ Component: (await import('./screens/bench/BenchRoom.tsx')).BenchRoom }),
  },
]
