using VerdantSieve.Core.Botany;
using Xunit;

namespace VerdantSieve.Core.Tests.Formats;

public class ShippedFloraTests
{
    [Fact]
    public void Has_no_fault() => Assert.True(ShippedFlora.Reading.Faults.Count == 0, string.Join("\n", ShippedFlora.Reading.Faults));
}
