using System.Globalization;
using System.Reflection;

namespace Zephyros.Core.Units;

/// <summary>Every figure of the trade that the program computes with, read off the places where it does.</summary>
public static class FigureRegister
{
    /// <summary>The figures in the order of the path, those of one place in the order in which they stand there.</summary>
    public static IReadOnlyList<TradeFigure> All { get; } =
    [
        .. typeof(FigureRegister)
            .Assembly.GetTypes()
            .SelectMany(t => t.GetMembers(Anything))
            .Select(member => (member, figure: member.GetCustomAttribute<FigureAttribute>()))
            .Where(m => m.figure is not null)
            .OrderBy(m => m.figure!.Station)
            .ThenBy(m => m.member.DeclaringType!.FullName, StringComparer.Ordinal)
            .ThenBy(m => m.member.MetadataToken)
            .Select(m => Read(m.member, m.figure!)),
    ];

    private const BindingFlags Anything =
        BindingFlags.Static
        | BindingFlags.Instance
        | BindingFlags.Public
        | BindingFlags.NonPublic
        | BindingFlags.DeclaredOnly;

    private static TradeFigure Read(MemberInfo member, FigureAttribute figure)
    {
        var (value, unit) = Measured(ValueOf(member), figure.Unit);
        return new TradeFigure(
            $"{member.DeclaringType!.Name}.{member.Name}",
            figure.Station,
            figure.Name,
            value,
            unit,
            new Provenance(figure.Kind, figure.Source, figure.Place, figure.Note)
        );
    }

    // What a property of a record is when nobody has set it: that is the figure.
    private static object ValueOf(MemberInfo member) =>
        member switch
        {
            FieldInfo field => field.GetValue(null)!,
            PropertyInfo { GetMethod.IsStatic: true } made => made.GetValue(null)!,
            PropertyInfo usual => usual.GetValue(Activator.CreateInstance(member.DeclaringType!))!,
            _ => throw new NotSupportedException($"{member.Name} holds no figure."),
        };

    private static (double Value, string Unit) Measured(object value, string unit) =>
        value switch
        {
            TimeSpan time => (time.TotalMilliseconds, Milliseconds.Symbol),
            IConvertible number => (number.ToDouble(CultureInfo.InvariantCulture), unit),
            _ => Quantity(value),
        };

    private static (double Value, string Unit) Quantity(object value)
    {
        var type = value.GetType();
        return (
            (double)
                Convert.ChangeType(
                    type.GetProperty("Value")!.GetValue(value)!,
                    typeof(double),
                    CultureInfo.InvariantCulture
                ),
            (string)type.GetProperty("Symbol", BindingFlags.Static | BindingFlags.Public)!.GetValue(null)!
        );
    }
}
