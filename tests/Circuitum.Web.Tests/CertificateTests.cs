using System.Security.Cryptography.X509Certificates;
using Circuitum.Web.Access;

namespace Circuitum.Web.Tests;

/// <summary>The certificate that the program makes for itself.</summary>
public sealed class CertificateTests
{
    [Fact]
    public void The_certificate_stands_for_its_names_and_its_signer_can_sign_nothing_more()
    {
        var keys = Directory.CreateTempSubdirectory("circuitum-").FullName;
        using var made = MachineCertificate.Of(keys, ["192.0.2.7", "desk.example"]);
        made.Own.HasPrivateKey.ShouldBeTrue();
        using var chain = new X509Chain();
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        using var authority = X509CertificateLoader.LoadCertificate(made.Authority);
        authority.HasPrivateKey.ShouldBeFalse();
        chain.ChainPolicy.CustomTrustStore.Add(authority);
        chain.Build(made.Own).ShouldBeTrue();
        made.Own.MatchesHostname("192.0.2.7").ShouldBeTrue();
        made.Own.MatchesHostname("desk.example").ShouldBeTrue();
        made.Own.MatchesHostname("elsewhere.example").ShouldBeFalse();
        using var again = MachineCertificate.Of(keys, ["192.0.2.7"]);
        again.Own.Thumbprint.ShouldBe(made.Own.Thumbprint);
        using var other = MachineCertificate.Of(keys, ["198.51.100.1"]);
        other.Own.Thumbprint.ShouldNotBe(made.Own.Thumbprint);
        Directory.GetFiles(keys).Length.ShouldBe(2);
        Directory.Delete(keys, true);
    }
}
