using System.Threading.RateLimiting;
using Microsoft.AspNetCore.RateLimiting;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Guards;

/// <summary>How much may be asked at once, so that no page can start more than the machine bears. Live benches are counted by their hub.</summary>
internal static class RequestRoom
{
    /// <summary>So many requests are worked on at once.</summary>
    public const int AtOnce = 16;

    /// <summary>So many more wait for their turn, the oldest first; what comes beyond is refused.</summary>
    public const int Waiting = 128;

    /// <summary>The limits.</summary>
    public static void Limit(RateLimiterOptions limits)
    {
        var room = new ConcurrencyLimiterOptions
        {
            PermitLimit = AtOnce,
            QueueLimit = Waiting,
            QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
        };
        limits.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(context =>
            context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal)
                ? RateLimitPartition.GetConcurrencyLimiter("api", _ => room)
                : RateLimitPartition.GetNoLimiter("")
        );
        limits.OnRejected = async (refused, _) =>
            await Problem
                .Of(
                    StatusCodes.Status429TooManyRequests,
                    "Too much at once",
                    "More is being asked than can be worked on. Wait a moment and try again; nothing was changed."
                )
                .ExecuteAsync(refused.HttpContext);
    }
}
