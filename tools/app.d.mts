/** A running application. */
export interface RunningApp {
    address: string;
    folder: string;
    stop(signal?: NodeJS.Signals): Promise<void>;
}

export function startApp(options?: { data?: string; demo?: boolean; port?: number }): Promise<RunningApp>;
