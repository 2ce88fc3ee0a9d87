// Plants slips in a copy of the code and tells which of them the tests notice.
// --count N of each room, --seed S, --rooms A,B, --workers W, --quick leaves out slow tests, --list only tells them.
using System.Diagnostics;
using System.Globalization;
using Zephyros.Mutants;

string Told(string key, string otherwise) => Array.IndexOf(args, key) is >= 0 and var at ? args[at + 1] : otherwise;
int Number(string key, int otherwise) =>
    int.Parse(Told(key, otherwise.ToString(CultureInfo.InvariantCulture)), CultureInfo.InvariantCulture);

var root = Directory.GetCurrentDirectory();
var quick = args.Contains("--quick");
var rooms = Told("--rooms", "").Split(',', StringSplitOptions.RemoveEmptyEntries);
var chosen = Sample.Of(root, rooms, Number("--count", 12), Number("--seed", 1));
if (args.Contains("--list"))
{
    foreach (var slip in chosen)
        Console.WriteLine($"{slip.Room, -10} {slip}");
    return 0;
}

var clock = Stopwatch.StartNew();
var tree = new MutantTree(root, Path.Combine(root, "artifacts", "mutants"));
tree.Copy();
var planted = tree.Build(chosen);
Console.WriteLine($"{planted.Count} of {chosen.Count} slips compile.");
var tests = new TestRun(tree, quick);
var workers = new ParallelOptions { MaxDegreeOfParallelism = Number("--workers", 2) };
var parts = planted.SelectMany(s => Part.Of(s.Room, quick)).DistinctBy(p => p.Name, StringComparer.Ordinal);
string?[] failing = [.. parts.AsParallel().WithDegreeOfParallelism(workers.MaxDegreeOfParallelism).Select(tests.Learn)];
if (Array.Find(failing, f => f is not null) is { } failed)
{
    Console.WriteLine($"Without any slip: {failed} fails.");
    return 1;
}

Console.WriteLine($"The tests pass without a slip, {clock.Elapsed.TotalMinutes:0.0} min.");
var noticed = new Dictionary<Slip, string?>();
Parallel.ForEach(
    planted,
    workers,
    slip =>
    {
        var by = tests.Noticed(slip);
        lock (noticed)
        {
            noticed[slip] = by;
            Console.WriteLine(
                $"{clock.Elapsed.TotalMinutes, 5:0.0} min {noticed.Count, 4}/{planted.Count} {(by is null ? "STAYS " : "      ")}{slip.Room, -10} {slip}{(by is null ? "" : $"  [{by}]")}"
            );
        }
    }
);

Console.WriteLine("\nNoticed by room:");
foreach (var room in planted.GroupBy(s => s.Room, StringComparer.Ordinal))
    Console.WriteLine($"{room.Key, -12} {room.Count(s => noticed[s] is not null)} of {room.Count()}");
Console.WriteLine(
    $"{"all", -12} {noticed.Count(n => n.Value is not null)} of {noticed.Count}, {noticed.Count(n => n.Value?.EndsWith("(slow)", StringComparison.Ordinal) == true)} of them by slow tests only, {noticed.Count(n => n.Value?.EndsWith("hangs", StringComparison.Ordinal) == true)} by a hang; {clock.Elapsed.TotalMinutes:0} min"
);
Console.WriteLine("\nNot noticed:");
foreach (var slip in planted.Where(s => noticed[s] is null))
    Console.WriteLine($"{slip.Room, -10} {slip}");
return 0;
