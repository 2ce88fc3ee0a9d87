using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Logging.Console;
using Zephyros.Core.Setups.Json;
using Zephyros.Storage;
using Zephyros.Web.Bench;
using Zephyros.Web.Captures;
using Zephyros.Web.Figures;
using Zephyros.Web.Flights;
using Zephyros.Web.Guards;
using Zephyros.Web.Links;
using Zephyros.Web.Losses;
using Zephyros.Web.Measuring;
using Zephyros.Web.Problems;
using Zephyros.Web.Proofs;
using Zephyros.Web.Setups;
using Zephyros.Web.Standing;
using Zephyros.Web.Start;

var builder = WebApplication.CreateSlimBuilder(
    new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory }
);
var port = builder.Configuration.GetValue("port", 5080);
var dataFolder = Path.GetFullPath(builder.Configuration["data"] ?? Path.Combine(AppContext.BaseDirectory, "data"));

builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.Listen(System.Net.IPAddress.Loopback, port);
    kestrel.Limits.MaxRequestBodySize = RequestBody.Limit;
    kestrel.AddServerHeader = false;

    // Far more than a few pages need.
    kestrel.Limits.MaxConcurrentConnections = 256;
    kestrel.Limits.MaxConcurrentUpgradedConnections = 64;
});
builder.Logging.SetMinimumLevel(LogLevel.Warning);
builder
    .Logging.AddConsole(console => console.FormatterName = nameof(PlainLog))
    .AddConsoleFormatter<PlainLog, ConsoleFormatterOptions>();

// What keeps the program from starting is said below, in a sentence.
builder.Logging.AddFilter("Microsoft.Extensions.Hosting.Internal.Host", LogLevel.None);

// A page that is open holds a stream; ending the program must not wait for it long.
builder.Services.Configure<HostOptions>(host => host.ShutdownTimeout = TimeSpan.FromSeconds(2));
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(_ => FolderLock.Take(dataFolder));
builder.Services.AddSingleton(services =>
{
    _ = services.GetRequiredService<FolderLock>();
    return Database.Open(Path.Combine(dataFolder, "zephyros.db"));
});
builder.Services.AddSingleton<SetupStore>();
builder.Services.AddSingleton<EvidenceStore>();
builder.Services.AddSingleton<LinkProfileStore>();
builder.Services.AddSingleton<Salvage>();
builder.Services.AddSingleton<BenchRooms>();
builder.Services.AddSingleton<PaceThread>();
builder.Services.AddSingleton<Saving>();
builder.Services.AddSingleton<KnownFindings>();
builder.Services.AddSingleton<LossPlays>();
builder.Services.AddSingleton<KnownVerdicts>();
builder.Services.AddSingleton<ProofRuns>();
builder.Services.AddSingleton<CraftStanding>();
builder.Services.AddSingleton<CaptureShelf>();
builder.Services.AddSingleton<FlightShelf>();
builder.Services.AddRateLimiter(RequestRoom.Limit);
builder.Services.AddProblemDetails();
builder.Services.AddExceptionHandler<ExceptionProblems>();
builder.Services.ConfigureHttpJsonOptions(json => SetupJson.Configure(json.SerializerOptions));
builder
    .Services.AddSignalR(hub =>
    {
        hub.MaximumReceiveMessageSize = 4 * 1024;
        // A page takes ten seconds of silence for a server that is away.
        hub.KeepAliveInterval = TimeSpan.FromSeconds(3);
    })
    .AddJsonProtocol(json => SetupJson.Configure(json.PayloadSerializerOptions));
builder.Services.AddOpenApi(
    "v1",
    options =>
    {
        OpenApiQuantities.Describe(options);
        OpenApiHub.Describe(options);
    }
);

// The build runs this program to write the OpenAPI document; it must not touch any data then.
var describes = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
if (!describes)
    builder.Services.AddSingleton<Opening>().AddHostedService(services => services.GetRequiredService<Opening>());
var app = builder.Build();
app.UseExceptionHandler();
if (!describes)
    app.Use(app.Services.GetRequiredService<Opening>().HoldAsync);
app.UseMiddleware<SecurityHeaders>();
app.UseMiddleware<KnownMethods>();
app.UseMiddleware<LocalGuard>();
PackedFiles.Use(app);
app.UseRouting();
app.UseRateLimiter();
var setups = app.MapGroup("/api/setups");
SetupEndpoints.Map(setups);
FindingEndpoints.Map(setups);
BenchEndpoints.Map(setups);
PlanningEndpoints.Map(setups);
LossEndpoints.Map(setups);
ProofEndpoints.Map(setups);
StandingEndpoints.Map(setups);
LookAheadEndpoints.Map(setups);
HistoryEndpoints.Map(app, setups);
CaptureEndpoints.Map(app, setups);
FlightEndpoints.Map(app, setups);
ReplayEndpoints.Map(app, setups);
AlarmTrialEndpoints.Map(setups);
LinkEndpoints.Map(app, setups);
MeasureEndpoints.Map(setups);
MeasurementEndpoints.Map(setups);
SalvageEndpoints.Map(app);
FigureEndpoints.Map(app);
DemoData.Map(app);
app.MapGet("/api/transmitters", (SetupStore store) => TransmitterShapes.Of(store)).WithName("ListTransmitters");
app.MapGet("/api/schema", () => SetupSchema.Create()).WithName("GetSchema");

// Whether the server is there; it says nothing of the data.
app.MapGet("/api/alive", () => TypedResults.NoContent()).WithName("IsAlive");
app.MapHub<BenchHub>("/hub/bench");
app.MapOpenApi();
StartPage.Map(app);

if (describes)
{
    await app.RunAsync();
    return 0;
}

try
{
    await app.StartAsync();
    await Console.Out.WriteLineAsync(
        string.Create(CultureInfo.InvariantCulture, $"Zephyros: {string.Join(' ', app.Urls)}")
    );
    await app.WaitForShutdownAsync();
    await app.DisposeAsync();
    return 0;
}
catch (Exception error) when (error is StoreException or SqliteException or IOException or UnauthorizedAccessException)
{
    await Console.Error.WriteLineAsync($"Zephyros does not start. {error.Message}");
    return 1;
}

/// <summary>The web host of Zephyros; named so that tests can start it.</summary>
public partial class Program;
